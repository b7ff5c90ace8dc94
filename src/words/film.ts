import type { FilmedWater } from "../core/film/film-reader";
import type { FilmAgreement } from "../core/film/place-film";
import { addWords } from "./messages";
import { FILM } from "./messages/film";
import { figureText, showText, type UnitSystem } from "./quantity";
import { count } from "./text";

addWords(FILM);

/** A camera that lost so large a share of its frames moved too much. */
const MUCH_LOST = 0.3;

/** "Surface speeds at 410 places, 0.21 to 1.84 m/s. 2 seams." and what was left out. */
export function filmedWords(film: FilmedWater, system: UnitSystem): string {
  const { arrows, places, unseen, indistinct, astray, seams, used, lost } = film;
  const sorted = arrows.map(({ u, v }) => Math.hypot(u, v)).toSorted((a, b) => a - b);
  if (sorted.length === 0)
    return "No speeds could be read. Film water with foam, bubbles, leaves or ripples on it, away from glare.";
  const speed = (share: number) => showText(sorted[Math.round(share * (sorted.length - 1))]!, "speed", system);
  const left = [
    unseen > 0 && `${figureText(unseen, 0)} hidden or in glare`,
    indistinct > 0 && `${figureText(indistinct, 0)} with nothing to follow`,
    astray > 0 && `${figureText(astray, 0)} out of line with the rest`,
  ].filter((part) => part !== false);
  return [
    `Surface speed at ${figureText(arrows.length, 0)} of ${count(places, "place")}: ${speed(0.1)} to ${speed(0.9)} for most.`,
    left.length > 0 && `Left out: ${left.join(", ")}.`,
    seams.length > 0 ? `${count(seams.length, "seam")}.` : "No seam: the speed changes too little across this water.",
    lost > MUCH_LOST * (used + lost) && "The camera moved a lot; hold it steadier for a better result.",
  ]
    .filter((part) => part !== false)
    .join(" ");
}

/** "At a typical place the model’s surface is 8 % slower than the film; 64 % of places agree within a fifth." */
export function agreementWords({ inside, of, ratio, alike }: FilmAgreement): string {
  if (inside === 0) return "It lies outside the water of this reach.";
  const off = Math.round(100 * Math.abs(ratio - 1));
  const how = off < 3 ? "as fast as the film" : `${off} % ${ratio > 1 ? "faster" : "slower"} than the film`;
  const beside =
    inside < of ? ` ${figureText(of - inside, 0)} of ${figureText(of, 0)} places lie outside its water.` : "";
  return `At a typical place the model’s surface is ${how}; ${figureText(100 * alike, 0)} % of places agree within a fifth.${beside}`;
}
