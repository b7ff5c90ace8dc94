import { z } from "zod";

/** Checks that schemas share. Zod's numbers are finite: neither NaN nor infinite. */
export const finite = z.number();
export const positive = z.number().positive();
export const between = (low: number, high: number) => z.number().min(low).max(high);
export const above = (low: number, high: number) => z.number().gt(low).max(high);
export const share = between(0, 1);
export const latitude = between(-90, 90);
export const longitude = between(-180, 180);
/** An instant with its offset (ISO 8601). */
export const instant = z.iso.datetime({ offset: true });

/** A refinement told by name; the words floor has its sentence. */
export const rule = (name: string, path?: PropertyKey[]) => ({ params: { rule: name }, ...(path ? { path } : {}) });
