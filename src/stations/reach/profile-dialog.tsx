"use client";
import { useState } from "react";
import type { Profile } from "../../core/book/records";
import { type Curve, type Species, speciesSchema } from "../../core/fish/species";
import { database } from "../../store/database";
import { parseQuantity } from "../../core/quantity/units";
import { newId } from "../../store/identity";
import { Button, Dialog, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import type { Fish } from "../../ui/use-fishes";

/** Fields of a profile as text, by their path in the species. Curves as “depth worth, depth worth”. */
type Entry = {
  path: readonly string[];
  label: string;
  hint?: string;
  kind: "text" | "number" | "curve";
  measure?: keyof typeof MEASURES;
};

/** How a measure is kept: its dimension, the unit that a bare number is in, and SI by that unit. */
const MEASURES = {
  cm: ["length", "cm", 100],
  m: ["length", "m", 1],
  mm: ["length", "mm", 1000],
  degC: ["temperature", "degC", 1],
} as const;

const COMMON: readonly Entry[] = [
  { path: ["name"], label: "Name", kind: "text" },
  { path: ["forkLength"], label: "Length looked for, cm", kind: "number", measure: "cm" },
  { path: ["territory"], label: "Keeps clear of the next, m", kind: "number", measure: "m" },
  { path: ["leastDepth"], label: "Least depth it holds in, m", kind: "number", measure: "m" },
  { path: ["focalHeight"], label: "Height over the bed, m", kind: "number", measure: "m" },
  { path: ["restAbove"], label: "Left alone above, °C", kind: "number", measure: "degC" },
];
const CURVE_HINT = "x worth, x worth, …; worth from 0 to 1";
const SUITS: readonly Entry[] = [
  { path: ["suitability", "depth", "warm"], label: "Depth in warm water, m", hint: CURVE_HINT, kind: "curve" },
  { path: ["suitability", "depth", "cold"], label: "Depth in cold water, m", hint: CURVE_HINT, kind: "curve" },
  {
    path: ["suitability", "speed", "warm"],
    label: "Speed at the fish in warm water, m/s",
    hint: CURVE_HINT,
    kind: "curve",
  },
  {
    path: ["suitability", "speed", "cold"],
    label: "Speed at the fish in cold water, m/s",
    hint: CURVE_HINT,
    kind: "curve",
  },
];
const share = (name: string, label: string): Entry => ({
  path: ["cover", name],
  label: `${label}, 0 to 1`,
  kind: "number",
});
const BY_MODEL: Record<Species["model"], readonly Entry[]> = {
  drift: [{ path: ["preyLength"], label: "Length of its food, mm", kind: "number", measure: "mm" }],
  ambush: [
    ...SUITS,
    { path: ["ambush", "reach"], label: "Fast water serves within, m", kind: "number", measure: "m" },
    { path: ["ambush", "weight"], label: "How much hangs on fast water, 0 to 1", kind: "number" },
    share("stone", "How much hangs on stone"),
    share("wood", "How much hangs on wood"),
    share("ledge", "How much hangs on a ledge"),
    { path: ["shy"], label: "How much it shuns light, 0 to 1", kind: "number" },
  ],
  travel: [
    ...SUITS,
    { path: ["passage", "depth"], label: "Least depth it passes, m", kind: "number", measure: "m" },
    { path: ["passage", "speed"], label: "Greatest speed it passes, m/s", kind: "number" },
  ],
};

const read = (species: Species, path: readonly string[]): unknown =>
  path.reduce<unknown>((at, step) => (at as Record<string, unknown>)[step], species);
const write = (at: unknown, [step, ...rest]: readonly string[], value: unknown): unknown =>
  step === undefined ? value : { ...(at as object), [step]: write((at as Record<string, unknown>)[step], rest, value) };

const asText = (value: unknown, kind: Entry["kind"]): string =>
  kind === "curve"
    ? (value as Curve).map(([x, y]) => `${x} ${y}`).join(", ")
    : kind === "number"
      ? String(Number((value as number).toPrecision(4)))
      : String(value);

/** What was typed, in the unit that the profile keeps; a measure may be given in any unit. */
function asValue(
  text: string,
  { kind, measure }: Entry,
): { ok: true; value: unknown } | { ok: false; message: string } {
  if (kind === "text") return { ok: true, value: text.trim() };
  if (kind === "number" && measure) {
    const [dimension, unit, each] = MEASURES[measure];
    const parsed = parseQuantity(text, dimension, unit);
    return parsed.ok ? { ok: true, value: Number((parsed.value * each).toPrecision(6)) } : parsed;
  }
  if (kind === "number") {
    const value = Number(text.trim());
    return text.trim() !== "" && Number.isFinite(value)
      ? { ok: true, value }
      : { ok: false, message: "A number, such as 0.5." };
  }
  const points = text.split(",").map((pair) => pair.trim().split(/\s+/).map(Number));
  return points.every((pair) => pair.length === 2 && pair.every(Number.isFinite))
    ? { ok: true, value: points }
    : { ok: false, message: "Pairs such as “0.4 0.2, 1 1”." };
}

/** Copies a fish and changes it, or changes an own profile: every figure that the models use. */
export function ProfileDialog({ fish, onClose }: { fish: Fish; onClose: () => void }) {
  const set = useSettings((settings) => settings.set);
  const entries = [...COMMON, ...BY_MODEL[fish.species.model]];
  const [texts, setTexts] = useState(() =>
    entries.map(({ path, kind }) =>
      path[0] === "name" && !fish.profile ? `${fish.name}, mine` : asText(read(fish.species, path), kind),
    ),
  );
  const [errors, setErrors] = useState<Record<number, string>>({});

  async function keep(): Promise<void> {
    let species: unknown = fish.species;
    const wrong: Record<number, string> = {};
    entries.forEach((entry, k) => {
      const value = asValue(texts[k]!, entry);
      if (value.ok) species = write(species, entry.path, value.value);
      else wrong[k] = value.message;
    });
    const id = fish.profile?.id ?? newId(Date.now());
    const parsed = speciesSchema.safeParse({
      ...(species as object),
      id,
      source: `This angler’s own, after ${fish.name}`,
    });
    if (!parsed.success)
      for (const issue of parsed.error.issues) {
        const k = entries.findIndex(({ path }) => path.every((step, n) => issue.path[n] === step));
        wrong[Math.max(0, k)] ??= issue.message;
      }
    setErrors(wrong);
    if (!parsed.success || Object.keys(wrong).length > 0) return;
    const profile: Profile = {
      schema: "low-heron/profile@1",
      id,
      updatedAt: new Date().toISOString(),
      base: fish.base,
      species: parsed.data,
    };
    await database().profiles.put(profile);
    set({ species: id, lie: 1 });
    say(
      `“${parsed.data.name}” is in the book.`,
      fish.profile && {
        label: "Undo",
        run: () => void database().profiles.put({ ...fish.profile!, updatedAt: new Date().toISOString() }),
      },
    );
    onClose();
  }

  async function remove(profile: Profile): Promise<void> {
    await database().profiles.update(profile.id, { deleted: true, updatedAt: new Date().toISOString() });
    set({ species: profile.base, lie: 1 });
    say(`“${profile.species.name}” is out of the book.`, {
      label: "Undo",
      run: () =>
        void database()
          .profiles.update(profile.id, { deleted: undefined, updatedAt: new Date().toISOString() })
          .then(() => set({ species: profile.id })),
    });
    onClose();
  }

  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={fish.profile ? `Change “${fish.name}”` : `Copy ${fish.name.toLowerCase()} and change it`}
      about={
        fish.profile
          ? `Your own profile. ${fish.species.source}.`
          : `What ships is kept as it is. Where its figures come from: ${fish.species.source}.`
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {entries.map(({ label, hint, kind }, k) => (
          <TextField
            key={label}
            label={label}
            hint={hint}
            value={texts[k]}
            error={errors[k]}
            inputMode={kind === "number" ? "decimal" : undefined}
            maxLength={kind === "text" ? 60 : 400}
            className={kind === "curve" ? "sm:col-span-2" : ""}
            onChange={(event) => setTexts(texts.map((text, n) => (n === k ? event.target.value : text)))}
          />
        ))}
      </div>
      <div className="mt-4 flex flex-wrap justify-between gap-2">
        <Button tone="next" onClick={() => void keep()}>
          Keep
        </Button>
        {fish.profile && <Button onClick={() => void remove(fish.profile!)}>Remove this profile</Button>}
      </div>
    </Dialog>
  );
}
