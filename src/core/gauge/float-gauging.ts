import { InputError } from "../quantity/fault";

/** One vertical of a timed-float measurement: distance from the near edge, m, depth, m, and the float's run there. */
export interface FloatVertical {
  /** m from the near water's edge. */
  distance: number;
  depth: number;
  /** Length of the run, m, and the seconds the float took, one entry a pass. */
  run: number;
  seconds: readonly number[];
}

export interface FloatGauging {
  /** m3/s */
  discharge: number;
  /** 1 sigma relative error, 0..1. */
  error: number;
  /** m2 */
  area: number;
  /** m/s */
  meanSpeed: number;
  panels: { width: number; depth: number; surfaceSpeed: number; meanSpeed: number; discharge: number }[];
}

/**
 * Mean over surface speed in a fully rough flow: from the log law u = a ln(z/z0), a = u_star/kappa, z0 = ks/30, the
 * mean is
 * a (ln(h/z0) - 1) and the surface a ln(h/z0), so the factor is 1 - 1/ln(30 h/ks). 0.80 at h/ks = 5, 0.85 at 26, 0.90
 * at 730
 * (USGS practice: 0.80 shallow and rough to 0.90 smooth and deep, 0.85 usual).
 */
export const surfaceFactor = (depth: number, bedRoughness: number): number =>
  Math.min(0.92, Math.max(0.6, 1 - 1 / Math.log(Math.max(4, (30 * depth) / bedRoughness))));

/** Roughness height of a cobble bed, m, where the angler says nothing. From memory. */
const COBBLE_KS = 0.06;
/**
 * One-sigma relative errors. From memory (ISO 748, annexes, gives like figures): depth 5 %, the surface factor 7 %, too
 * few verticals.
 */
const DEPTH_ERROR = 0.05;
const FACTOR_ERROR = 0.07;
const verticalsError = (count: number): number => 0.5 / (count + 1);
/** One timing by hand, s. Common practice, no source. */
const STOPWATCH = 0.3;
const LEAST_VERTICALS = 2;

/**
 * Discharge by the mid-section method (ISO 748): each vertical's mean speed over half the way to each neighbour; the
 * edges carry none.
 * `width` is the whole wet width, m. Refuses fewer than two verticals and impossible figures with a located InputError.
 */
export function gaugeByFloats(
  width: number,
  verticals: readonly FloatVertical[],
  bedRoughness = COBBLE_KS,
): FloatGauging {
  if (!(width > 0)) throw new InputError("bad-width", {}, { path: "width" });
  if (verticals.length < LEAST_VERTICALS)
    throw new InputError("too-few-verticals", { least: LEAST_VERTICALS }, { path: "verticals" });
  const ordered = verticals
    .map((vertical, k) => ({ vertical, k }))
    .sort((a, b) => a.vertical.distance - b.vertical.distance);
  const panels = ordered.map(({ vertical, k }, n) => {
    const path = `verticals[${k}]`;
    const { distance, depth, run, seconds } = vertical;
    if (!(distance > 0 && distance < width)) throw new InputError("bad-distance", { number: k + 1 }, { path });
    if (!(depth > 0)) throw new InputError("bad-depth", { number: k + 1 }, { path });
    if (!(run > 0) || seconds.length === 0 || seconds.some((time) => !(time > 0)))
      throw new InputError("bad-run", { number: k + 1 }, { path });
    const [before, after] = [ordered[n - 1]?.vertical.distance ?? 0, ordered[n + 1]?.vertical.distance ?? width];
    if (before === distance) throw new InputError("same-place", { distance }, { path });
    const time = seconds.reduce((sum, each) => sum + each, 0) / seconds.length;
    const surfaceSpeed = run / time;
    const meanSpeed = surfaceSpeed * surfaceFactor(depth, bedRoughness);
    const timing = STOPWATCH / time / Math.sqrt(seconds.length);
    const spread =
      seconds.length > 1
        ? Math.sqrt(
            seconds.reduce((sum, each) => sum + (each / time - 1) ** 2, 0) / (seconds.length - 1) / seconds.length,
          )
        : 0.1;
    const own = (after - before) / 2;
    const panel = { width: own, depth, surfaceSpeed, meanSpeed, discharge: own * depth * meanSpeed };
    return { panel, error: Math.hypot(DEPTH_ERROR, timing, spread) };
  });
  const discharge = panels.reduce((sum, { panel }) => sum + panel.discharge, 0);
  const area = panels.reduce((sum, { panel }) => sum + panel.width * panel.depth, 0);
  const random =
    Math.sqrt(panels.reduce((sum, { panel, error }) => sum + (panel.discharge * error) ** 2, 0)) / discharge;
  return {
    discharge,
    area,
    meanSpeed: discharge / area,
    error: Math.hypot(random, FACTOR_ERROR, verticalsError(panels.length)),
    panels: panels.map(({ panel }) => panel),
  };
}
