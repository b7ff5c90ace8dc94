"use client";
import { instantOf, localMinute } from "../core/quantity/local-time";
import { clockZone, deviceZone } from "../words/clock-zone";
import { LONGEST_PHOTO } from "../core/book/bank-records";
import { toBase64 } from "../core/formats/base64";
import { fetched } from "../core/quantity/fetched";
import { InputError } from "../core/quantity/fault";
import type { Shot } from "../store/photos";

/** Longest side of a picture that is kept, px, and how it is packed, best first. Own choice. */
const LONGEST_SIDE = 1280;
const QUALITIES = [0.82, 0.7, 0.5];
/** Largest file that is opened, bytes. */
const LARGEST_FILE = 40 * 1024 * 1024;

interface Told {
  DateTimeOriginal?: Date;
  latitude?: number;
  longitude?: number;
}

/**
 * A picture of a camera, made small: turned upright as the camera says, with the hour at which it was taken; all else
 * that the camera wrote into it is gone, its place too unless that is wanted.
 * @throws InputError "not-a-picture", "picture-too-large"
 */
export async function shrinkPhoto(file: File, withPlace: boolean, zone?: string): Promise<Shot> {
  if (file.size > LARGEST_FILE) throw new InputError("picture-too-large", {}, { file: file.name });
  const told = await exifOf(file);
  // The browser turns it upright by its orientation (EXIF tag 0x0112).
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => {
    throw new InputError("not-a-picture", {}, { file: file.name });
  });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext("2d")!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  for (const quality of QUALITIES) {
    const packed = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/jpeg", quality));
    const data = packed && toBase64(new Uint8Array(await packed.arrayBuffer()));
    if (data && data.length <= LONGEST_PHOTO)
      return {
        taken: told.DateTimeOriginal ? takenAt(told.DateTimeOriginal, zone) : null,
        width: canvas.width,
        height: canvas.height,
        data,
        place:
          withPlace && told.latitude !== undefined && told.longitude !== undefined
            ? { latitude: told.latitude, longitude: told.longitude }
            : null,
      };
  }
  throw new InputError("picture-too-large", {}, { file: file.name });
}

/** A camera's clock has no zone: it showed the time at the water. Its reader takes it for this device's. */
const takenAt = (camera: Date, zone = clockZone()): string => {
  const shown = localMinute(camera.getTime(), deviceZone());
  return new Date(instantOf(shown, zone)).toISOString();
};

/** What the camera wrote into it; nothing where it wrote none, or none that can be read. */
async function exifOf(file: File): Promise<Told> {
  const { default: exifr } = await fetched(import("exifr"));
  const read = (await exifr.parse(file, { gps: true }).catch(() => undefined)) as Told | undefined;
  const at = read?.DateTimeOriginal;
  return { ...read, DateTimeOriginal: at && !Number.isNaN(at.getTime()) ? at : undefined };
}
