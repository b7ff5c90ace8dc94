import { z } from "zod";
import { InputError } from "../quantity/fault";

const collection = z.object({
  type: z.literal("FeatureCollection"),
  features: z.array(z.unknown()).max(500_000),
  properties: z.record(z.string(), z.unknown()).nullish(),
});

/**
 * The features of a GeoJSON feature collection (RFC 7946), as they stand, and its own properties.
 * @throws InputError "not-json", "not-geojson"
 */
export function readFeatures(
  text: string,
  file?: string,
): { features: readonly unknown[]; properties: Readonly<Record<string, unknown>> } {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new InputError("not-json", { message: (error as Error).message }, { file });
  }
  const parsed = collection.safeParse(data);
  if (!parsed.success) throw new InputError("not-geojson", {}, { file, path: parsed.error.issues[0]!.path.join(".") });
  return { features: parsed.data.features, properties: parsed.data.properties ?? {} };
}
