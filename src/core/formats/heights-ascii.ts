import { InputError } from "../quantity/fault";
import { demandText } from "./gauge-text";
import type { HeightTile } from "./heights";

/** Cells of one grid that is held whole. */
export const MOST_CELLS = 40e6;

const NAMES = [
  "ncols",
  "nrows",
  "xllcorner",
  "xllcenter",
  "yllcorner",
  "yllcenter",
  "cellsize",
  "nodata_value",
] as const;

export const looksLikeAscii = (head: string): boolean => /^\s*ncols\s+\d/i.test(head);

interface Head {
  nx: number;
  ny: number;
  cell: number;
  none: number;
  west: number;
  south: number;
  /** Lines of it, and where the numbers begin. */
  lines: number;
  at: number;
}

/** A fault with its line. */
function notAGrid(file: string | undefined, line: number): never {
  throw new InputError("not-a-grid", {}, { file, line });
}

function readHead(text: string, file?: string): Head {
  const head = new Map<string, number>();
  let at = 0;
  while (at < text.length) {
    const end = text.indexOf("\n", at) < 0 ? text.length : text.indexOf("\n", at);
    const [name = "", value = ""] = text
      .slice(at, Math.min(end, at + 200))
      .trim()
      .split(/\s+/);
    const known = NAMES.find((one) => one === name.toLowerCase());
    if (!known) break;
    head.set(known, Number(value));
    at = end + 1;
  }
  const of = (name: (typeof NAMES)[number]) => head.get(name) ?? NaN;
  const cell = of("cellsize");
  const corner = (name: "x" | "y") => head.get(`${name}llcorner`) ?? of(`${name}llcenter`) - cell / 2;
  const found = { nx: of("ncols"), ny: of("nrows"), cell, west: corner("x"), south: corner("y") };
  const whole = Number.isInteger(found.nx) && Number.isInteger(found.ny) && found.nx >= 2 && found.ny >= 2;
  if (!whole || !(cell > 0)) notAGrid(file, head.size + 1);
  if (found.nx * found.ny > MOST_CELLS) throw new InputError("grid-too-large", { most: MOST_CELLS }, { file });
  if (!Number.isFinite(found.west) || !Number.isFinite(found.south)) notAGrid(file, head.size);
  return { ...found, none: head.get("nodata_value") ?? -9999, lines: head.size, at };
}

/**
 * A grid of heights as ESRI ASCII: a head of names and numbers, then rows from the north.
 * @throws InputError "not-a-grid", located; "grid-too-large"
 */
export function readAsciiGrid(text: string, file?: string): HeightTile {
  demandText(text, file);
  const { nx, ny, cell, none, west, south, lines, at } = readHead(text, file);
  const z = new Float32Array(nx * ny);
  const numbers = /\S+/g;
  numbers.lastIndex = at;
  for (let k = 0; k < z.length; k++) {
    const found = numbers.exec(text);
    const value = found ? Number(found[0]) : NaN;
    if (Number.isNaN(value)) notAGrid(file, lines + 1 + Math.floor(k / nx));
    z[k] = value === none ? NaN : value;
  }
  return {
    width: nx,
    height: ny,
    z,
    affine: { x: [west, cell, 0], y: [south + ny * cell, 0, -cell] },
    epsg: null,
  };
}
