import { within } from "../flow/features";
import { cellsOf, type Field } from "../flow/grid";
import type { Feature } from "../flow/reach-schema";

/** Features that nobody stands on: what stands in the stream is no bank, even where it leans on one. */
const SOLID: ReadonlySet<Feature["kind"]> = new Set(["boulder", "pier", "log", "log-jam", "wall"]);

/** Cells covered by something solid, 1 or 0. */
function covered({ nx, ny, cell }: Field, features: readonly Feature[]): Uint8Array {
  const solid = features.filter((one) => SOLID.has(one.kind));
  return cellsOf(new Uint8Array(nx * ny), (k) => {
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    return solid.some((one) => within(one, x, y) < 1) ? 1 : 0;
  });
}

/** What a dry cell is to someone on foot. */
export interface Ground {
  /** 1 on land that joins the edge of the reach at its left or right side: a bank, reached without wading. */
  bank: Uint8Array;
  /** 1 on dry ground that can be walked on: banks, and bars in the stream; not on stones, wood or walls. */
  walkable: Uint8Array;
}

/** Banks and dry ground of a field: land is followed from the reach's side edges over dry cells that can be walked. */
export function groundOf(field: Field, features: readonly Feature[] = []): Ground {
  const { nx, ny, depth } = field;
  const solid = covered(field, features);
  const walkable = cellsOf(new Uint8Array(nx * ny), (k) => (depth[k]! > 0 || solid[k] === 1 ? 0 : 1));
  const bank = new Uint8Array(nx * ny);
  const open: number[] = [];
  const reach = (k: number) => {
    if (walkable[k] === 0 || bank[k] === 1) return;
    bank[k] = 1;
    open.push(k);
  };
  for (let i = 0; i < nx; i++) {
    reach(i);
    reach((ny - 1) * nx + i);
  }
  for (let k = open.pop(); k !== undefined; k = open.pop()) {
    if (k % nx > 0) reach(k - 1);
    if (k % nx < nx - 1) reach(k + 1);
    if (k >= nx) reach(k - nx);
    if (k < nx * (ny - 1)) reach(k + nx);
  }
  return { bank, walkable };
}
