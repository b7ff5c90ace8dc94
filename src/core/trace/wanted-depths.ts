import { type Place, placeAt, placeIn } from "./channel";
import { bestReadings, type Target } from "./depth-kriging";
import { boundsOf, knowledgeOf, type Outline } from "./traced-bed";

/** Lies that hang on the bed, and where it can be sounded; in the reach's own m. */
export interface DepthsAsked {
  /** How much each counts: one that is not sure counts more than one that is. */
  lies: readonly { x: number; y: number; weight: number }[];
  /** Can a depth be taken there on foot? */
  canStand: (at: Place) => boolean;
}

/** Depths that would help most. */
export interface WantedDepths {
  places: Place[];
  /** Standard deviation of ln depth at the lies, so a share of depth: as it is known now, and with these depths. */
  now: number;
  after: number;
  /** None of the water can be stood in: the places are for a boat. */
  afloat: boolean;
}

/** What a lie hangs on lies within so many widths of it along the water, and so much of it across. Own choice. */
const ABOUT = { along: 0.6, across: 0.35 };
/** Places that are tried: so many to a width of water along, and so many across. */
const TRIED = { along: 3, across: 9 };
/** A place whose depth matters less than this beside the one that matters most is left out. */
const LEAST = 0.02;
/** Places that are tried at most: a long reach is tried more coarsely. */
const MOST = 900;

/**
 * Where depths would make lies surer: those that take most off what is not known of the bed around them.
 * @throws InputError as knowledgeOf
 */
export function wantedDepths(outline: Outline, { lies, canStand }: DepthsAsked, count = 3): WantedDepths {
  const { channel, said, isWater } = knowledgeOf(outline);
  const { low } = boundsOf(channel);
  const local = ([x, y]: Place): Place => [x - low[0], y - low[1]];
  const { meanWidth, axis, step } = channel;
  const length = (axis.length - 1) * step;
  const along = Math.min(Math.ceil((length / meanWidth) * TRIED.along), Math.floor(MOST / TRIED.across));
  const tried = Array.from({ length: along * TRIED.across }, (_, k) => {
    const s = ((Math.floor(k / TRIED.across) + 0.5) / along) * length;
    const across = ((k % TRIED.across) + 1) / (TRIED.across + 1);
    return { s, across, at: placeAt(channel, s, across) };
  }).filter(({ at }) => isWater(at));
  const places = lies.map((lie) => ({ ...placeIn(channel, [lie.x + low[0], lie.y + low[1]]), weight: lie.weight }));
  const near = tried.map(({ s, across }): Target => {
    const felt = places.reduce((sum, lie) => {
      const [a, b] = [(s - lie.s) / (ABOUT.along * meanWidth), (across - lie.across) / ABOUT.across];
      return sum + lie.weight * Math.exp(-(a ** 2 + b ** 2) / 2);
    }, 0);
    return { s, across, weight: felt };
  });
  const most = Math.max(...near.map(({ weight }) => weight), 0);
  const targets = near.filter(({ weight }) => weight > LEAST * most);
  const standing = tried.filter(({ at }) => canStand(local(at)));
  const candidates = standing.length > 0 ? standing : tried;
  const { chosen, before, after } = bestReadings(channel, said, { targets, candidates, count });
  return {
    places: chosen.map((k) => local(candidates[k]!.at)),
    now: Math.sqrt(before),
    after: Math.sqrt(after),
    afloat: standing.length === 0,
  };
}
