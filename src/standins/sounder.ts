import type { Reach } from "../core/flow/reach-schema";
import { rasteriseReach } from "../core/flow/rasterise";
import { metresPerDegree } from "../core/flow/plane";
import { sample } from "../core/flow/grid";
import { nmeaSum } from "../core/formats/nmea";
import { hash01 } from "../core/quantity/seeded";

/** Lines across the reach, m apart; speed of the boat, m/s; and how deep its transducer hangs, m. */
const RUN = { apart: 6, speed: 1, hang: 0.2 };
/**
 * Faults of the made-up sounder: noise of its position, m, and of its depth (share); how often it loses the bottom and
 * how often it shouts.
 */
const FAULTS = { position: 0.25, depth: 0.015, lost: 0.006, spike: 0.004 };
const SEED = 41;

export interface SounderPlace {
  latitude: number;
  longitude: number;
  /** Where the river runs to, degrees from north. */
  heading: number;
}

/**
 * An NMEA 0183 log of a made-up boat that sounds a reach from its upper end to its lower, to and fro across it, once a
 * second: RMC with the date, GGA, and
 * DPT below the transducer. Seeded; noisy, with lost bottoms and spikes, as such logs are. `fall` and `level` give the
 * water's surface.
 */
export function sounderLog(reach: Reach, place: SounderPlace, start: number, fall: number, level: number): string {
  const grid = rasteriseReach(reach);
  const [length, breadth] = [grid.nx * grid.cell, grid.ny * grid.cell];
  const heading = (place.heading * Math.PI) / 180;
  const metres = metresPerDegree(place.latitude);
  const lines: string[] = [];
  let second = 0;
  const random = (salt: number) => hash01(SEED + salt, second);
  const say = (body: string) => lines.push(`$${body}*${nmeaSum(body)}`);
  for (let x = RUN.apart / 4, run = 0; x < length; x += RUN.apart, run++) {
    for (let s = 0; s < breadth; s += RUN.speed, second++) {
      const y = run % 2 ? breadth - s : s;
      const depth = level + fall * (length - x) - sample(grid.z, grid.nx, grid.ny, grid.cell, x, y);
      // The boat turns where its transducer would ground.
      if (depth < RUN.hang + 0.1) continue;
      const [dx, dy] = [x + (random(1) - 0.5) * 2 * FAULTS.position, y + (random(2) - 0.5) * 2 * FAULTS.position];
      const [north, east] = [
        dx * Math.cos(heading) - dy * Math.sin(heading),
        dx * Math.sin(heading) + dy * Math.cos(heading),
      ];
      const [latitude, longitude] = [
        place.latitude + north / metres.latitude,
        place.longitude + east / metres.longitude,
      ];
      const at = new Date(start + second * 1000).toISOString();
      const clock = `${at.slice(11, 13)}${at.slice(14, 16)}${at.slice(17, 19)}.00`;
      const where = `${minutes(latitude, 2)},${latitude < 0 ? "S" : "N"},${minutes(longitude, 3)},${longitude < 0 ? "W" : "E"}`;
      say(`GPRMC,${clock},A,${where},1.9,,${at.slice(8, 10)}${at.slice(5, 7)}${at.slice(2, 4)},,`);
      say(`GPGGA,${clock},${where},1,09,0.9,,M,,M,,`);
      const read = (depth - RUN.hang) * (1 + FAULTS.depth * (2 * random(3) - 1));
      say(
        `SDDPT,${random(4) < FAULTS.lost ? "0.0" : (random(5) < FAULTS.spike ? read * 2.5 + 1 : read).toFixed(2)},0.0`,
      );
    }
  }
  return `${lines.join("\r\n")}\r\n`;
}

/**
 * What the boat's devices say on the river now: the log of one run, second by second from some second of it, again from
 * its start at its end, and a thermometer (MTW) once in five.
 */
export function* liveSentences(log: string, from: number, waterTemperature: number): Generator<string[]> {
  const seconds = log.split("\r\n").reduce<string[][]>((all, line) => {
    if (line.includes("RMC")) all.push([]);
    if (line) all.at(-1)?.push(line);
    return all;
  }, []);
  for (let k = from; seconds.length > 0; k++) {
    const warmth = waterTemperature + 0.2 * (hash01(SEED + 9, k) - 0.5);
    const body = `YXMTW,${warmth.toFixed(1)},C`;
    yield [...seconds[k % seconds.length]!, ...(k % 5 === 0 ? [`$${body}*${nmeaSum(body)}`] : [])];
  }
}

/** Degrees as NMEA writes them: whole degrees, then minutes with five decimals. */
function minutes(degrees: number, whole: number): string {
  const size = Math.abs(degrees);
  return `${String(Math.floor(size)).padStart(whole, "0")}${((size % 1) * 60).toFixed(5).padStart(8, "0")}`;
}

export const SOUNDER_DRAFT = RUN.hang;
