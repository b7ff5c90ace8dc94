/** The plain reference of hours on the bank: what each rod does, and when. No records, no store, no river. */

type RodState = "fishing" | "waits-for-pause" | "waits-for-fight" | "away";

interface Rod {
  state: RodState;
  angler: string;
  lie: string;
  /** Laid and left. */
  fixed: boolean;
  since: number;
}

/** Time that a rod fished one place. */
interface Span {
  rod: number;
  lie: string;
  from: number;
  to: number;
}

export interface BankModel {
  start: number;
  end: number | null;
  paused: boolean;
  /** Rod that a fish is on. */
  on: number | null;
  rods: Map<number, Rod>;
  spans: Span[];
  landed: number;
  lost: number;
}

export const newModel = (start: number): BankModel => ({
  start,
  end: null,
  paused: false,
  on: null,
  rods: new Map(),
  spans: [],
  landed: 0,
  lost: 0,
});

export const copyOf = (model: BankModel): BankModel => structuredClone(model);

function stop(model: BankModel, number: number, at: number, then: RodState): void {
  const rod = model.rods.get(number)!;
  if (rod.state === "fishing") model.spans.push({ rod: number, lie: rod.lie, from: rod.since, to: at });
  rod.state = then;
}

function go(model: BankModel, from: RodState, at: number): void {
  for (const rod of model.rods.values()) if (rod.state === from) Object.assign(rod, { state: "fishing", since: at });
}

/** A rod is taken up, moved, changed, laid or lifted. */
export function setRod(
  model: BankModel,
  number: number,
  change: Partial<Pick<Rod, "lie" | "fixed" | "angler">>,
  at: number,
): void {
  const known = model.rods.get(number);
  const before: Rod = known ? { ...known } : { state: "away", angler: "", lie: "", fixed: false, since: at };
  const spot = before.state === "away" ? { angler: "", lie: "", fixed: false } : before;
  const rod: Rod = { ...before, ...spot, ...change, state: before.state };
  if (before.state === "fishing") stop(model, number, at, "away");
  const inHand = before.state === "fishing" && !before.fixed;
  const fighter = model.on === null ? undefined : model.rods.get(model.on);
  rod.since = at;
  if (before.state === "waits-for-fight") rod.state = "waits-for-fight";
  else if (rod.fixed || inHand) rod.state = "fishing";
  else if (before.state === "waits-for-pause") rod.state = "waits-for-pause";
  else if (fighter?.state.startsWith("waits") && fighter.angler === rod.angler) rod.state = "waits-for-fight";
  else rod.state = model.paused ? "waits-for-pause" : "fishing";
  model.rods.set(number, rod);
}

export function putRodAway(model: BankModel, number: number, at: number): void {
  if (model.rods.has(number)) stop(model, number, at, "away");
}

export function pause(model: BankModel, at: number): void {
  if (model.paused || model.on !== null) return;
  for (const [number, rod] of model.rods)
    if (rod.state === "fishing" && !rod.fixed) stop(model, number, at, "waits-for-pause");
  model.paused = true;
}

export function goOn(model: BankModel, at: number): void {
  if (!model.paused || model.on !== null) return;
  go(model, "waits-for-pause", at);
  go(model, "waits-for-fight", at);
  model.paused = false;
}

export function hook(model: BankModel, number: number, at: number): void {
  if (model.on !== null) return;
  const own = model.rods.get(number);
  const angler = own && own.state !== "away" ? own.angler : "";
  for (const [other, rod] of model.rods)
    if (rod.state === "fishing" && (other === number || (!rod.fixed && rod.angler === angler)))
      stop(model, other, at, "waits-for-fight");
  model.on = number;
}

export function endFight(model: BankModel, how: "landed" | "lost" | "no-fish", at: number): void {
  if (model.on === null) return;
  model.on = null;
  if (how !== "landed") {
    if (how === "lost") model.lost++;
    return go(model, "waits-for-fight", at);
  }
  model.landed++;
  model.paused = true;
  for (const rod of model.rods.values()) if (rod.state === "waits-for-fight") rod.state = "waits-for-pause";
}

export function finish(model: BankModel, at: number): void {
  for (const number of model.rods.keys()) stop(model, number, at, "away");
  Object.assign(model, { end: at, on: null, paused: false });
}

/** Other times of a finished session: moved as a whole, or fitted to them. */
export function correct(model: BankModel, start: number, end: number): void {
  const [by, was] = [start - model.start, { start: model.start, end: model.end! }];
  const whole = end - was.end === by;
  model.spans = model.spans.flatMap((span): Span[] => {
    if (whole) return [{ ...span, from: span.from + by, to: span.to + by }];
    if (span.from === span.to) return [];
    const from = span.from === was.start ? start : Math.max(span.from, start);
    const to = span.to === was.end ? end : Math.min(span.to, end);
    return to < from ? [] : [{ ...span, from, to }];
  });
  Object.assign(model, { start, end });
}

/** What was fished in a part of a rod's time is put right: that part has another place. */
export function correctPlace(model: BankModel, rod: number, from: number, to: number, lie: string): void {
  model.spans = model.spans.flatMap((span) => {
    if (span.rod !== rod || span.from > from || span.to < to) return [span];
    const parts = [
      { ...span, to: from },
      { ...span, from, to, lie },
      { ...span, from: to },
    ];
    return parts.filter((part, k) => k === 1 || part.to > part.from);
  });
}

/** Ms that a rod has fished a place until an instant, by "rod lie". */
export function fishedBy(model: BankModel, now: number): Map<string, number> {
  const sums = new Map<string, number>();
  const count = (rod: number, lie: string, ms: number) =>
    ms > 0 && sums.set(`${rod} ${lie}`, (sums.get(`${rod} ${lie}`) ?? 0) + ms);
  for (const { rod, lie, from, to } of model.spans) count(rod, lie, to - from);
  for (const [number, rod] of model.rods) if (rod.state === "fishing") count(number, rod.lie, now - rod.since);
  return sums;
}
