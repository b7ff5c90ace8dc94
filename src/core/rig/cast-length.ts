import { COMMON_PRACTICE, GRAVITY, sourced } from "../quantity/provenance";

/**
 * Speed of a full overhead cast at the tip of a 2.1 m rod, m/s; it goes with the root of the rod's length. The tip and
 * the line by it move too, as so much more to throw, g. Set so that the trade's figures come out: 1/32 oz 9 m, 1/16 oz
 * 14, 1/8 oz 20, 1/4 oz 27, 1/2 oz 35 and 1 oz 43 on 0.2 mm line (common practice, no source; tested).
 */
const TIP_SPEED = sourced({ speed: 28, rod: 2.1, extra: 2 }, "m/s, m, g", COMMON_PRACTICE);
/** A cast leaves at so many degrees over the water; what is thrown is on average so dense, kg/m3. Common practice. */
const LEAVES_AT = 40;
const THROWN = 4000;
/** Air at 15 C, kg/m3 (ISO 2533); drag coefficient of what tumbles (Hoerner 1965: a blunt body, about 0.9). */
const AIR = 1.225;
const TUMBLES = 0.9;
/** Line that is pulled off the spool through the rings: force over diameter, line that is out and speed, N s/m3. */
const PEELED = sourced(1, "N s/m3", COMMON_PRACTICE);
/** Even the lightest is swung out: twice the rod's own length, and so much more, m. Common practice, no source. */
const SWUNG = { rods: 2, more: 3 };
const STEP = 0.02;

/**
 * How far a weight is cast, m, with a rod and a line: a body thrown from the tip against the drag of the air and of the
 * line that it pulls after it (explicit steps of a fiftieth of a second).
 * @param grams of all that is thrown
 * @param rod m
 * @param lineDiameter m
 */
export function castLength(grams: number, rod: number, lineDiameter: number): number {
  const { speed, rod: usual, extra } = TIP_SPEED.value;
  const mass = grams / 1000;
  const launch = speed * Math.sqrt(Math.min(1.5, rod / usual)) * Math.sqrt(grams / (grams + extra));
  const area = (Math.PI / 4) * ((6 * mass) / (Math.PI * THROWN)) ** (2 / 3);
  const angle = (LEAVES_AT * Math.PI) / 180;
  let [x, z, u, w] = [0, 0.7 * rod, launch * Math.cos(angle), launch * Math.sin(angle)];
  while (z > 0 && u > 0.01) {
    const pace = Math.hypot(u, w);
    const drag = 0.5 * AIR * TUMBLES * area * pace + PEELED.value * lineDiameter * x;
    u -= (drag / mass) * u * STEP;
    w -= (GRAVITY + (drag / mass) * w) * STEP;
    x += u * STEP;
    z += w * STEP;
  }
  return Math.max(x, SWUNG.rods * rod + SWUNG.more);
}
