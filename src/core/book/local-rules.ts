import { z } from "zod";
import { above, instant } from "../quantity/checks";
import { refuse } from "../quantity/issue";

/** A day of any year, "04-15", or one day, "2026-04-15". */
const day = z.string().regex(/^(\d{4}-)?(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/);
const length = above(0, 4);

/** What the angler has entered of a water for one fish, m. Every part that is given must be met. */
export const localRuleSchema = z.object({
  species: z.string().min(1).max(80),
  /** Open from one day to another, both included; over the turn of the year too. */
  open: z.object({ from: day, to: day }).optional(),
  minLength: length.optional(),
  maxLength: length.optional(),
  /** Fish from one length to another, both included, are protected. */
  slot: z.object({ from: length, to: length }).optional(),
  /** Fish of it that may be kept in a day. */
  bag: z.int().min(0).max(1000).optional(),
  /** Only fish with a clipped fin may be kept. */
  clippedOnly: z.boolean().optional(),
});
export type LocalRule = z.infer<typeof localRuleSchema>;

/** What `heron rules` reads. */
const rulesRequestSchema = z.object({
  rules: z.array(localRuleSchema).max(500),
  fish: z.object({
    species: z.string().min(1).max(80),
    /** m; null: not measured. */
    length: length.nullable(),
    fin: z.enum(["whole", "clipped", "partial"]).default("whole"),
  }),
  /** Fish of it that this angler has kept today. */
  kept: z.int().min(0).max(10_000).default(0),
  at: instant,
});
export type RulesRequest = z.input<typeof rulesRequestSchema>;

/** The part of a rule that decides. */
type RulePart = "open" | "minLength" | "maxLength" | "slot" | "bag" | "clippedOnly";

export interface RuleAnswer {
  answer: "keep" | "release" | "no-rule";
  /** What decided; null where every rule is met, or there is none. */
  rule: RulePart | null;
  /** Which of the rules, from 0; null where none decided. */
  index: number | null;
}

/**
 * Keep or release by the rules that the angler has entered: the first part of the first rule that is not met decides. A
 * length that a rule asks for and nobody has taken, and a fin clipped in part where only clipped ones may be kept,
 * answer
 * release. The local authority's own rules always stand above.
 * @throws InputError "bad-rules"
 */
export function answerByRules(request: RulesRequest): RuleAnswer {
  const parsed = rulesRequestSchema.safeParse(request, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-rules");
  const { rules, fish, kept, at } = parsed.data;
  const own = rules.map((rule, index) => ({ rule, index })).filter(({ rule }) => rule.species === fish.species);
  if (own.length === 0) return { answer: "no-rule", rule: null, index: null };
  for (const { rule, index } of own) {
    const broken = brokenPart(rule, fish, kept, at.slice(0, 10));
    if (broken) return { answer: "release", rule: broken, index };
  }
  return { answer: "keep", rule: null, index: null };
}

type Fish = z.output<typeof rulesRequestSchema>["fish"];

function brokenPart(rule: LocalRule, fish: Fish, kept: number, today: string): RulePart | undefined {
  const { open, minLength, maxLength, slot, bag, clippedOnly } = rule;
  const size = fish.length;
  if (open && !isOpen(open, today)) return "open";
  if (clippedOnly && fish.fin !== "clipped") return "clippedOnly";
  if (minLength !== undefined && (size === null || size < minLength)) return "minLength";
  if (maxLength !== undefined && (size === null || size > maxLength)) return "maxLength";
  if (slot && (size === null || (size >= slot.from && size <= slot.to))) return "slot";
  return bag !== undefined && kept >= bag ? "bag" : undefined;
}

/**
 * Is a day, "2026-04-15", within a season, both its days included? Days of any year compare by month and day, and may
 * turn with the year; where one of the two has a year the other is the nearest to it that makes a season.
 */
export function isOpen({ from, to }: { from: string; to: string }, today: string): boolean {
  const dated = (day: string) => day.length === 10;
  if (dated(from) || dated(to)) {
    const turns = (from.slice(-5) > to.slice(-5) ? 1 : 0) as number;
    const start = dated(from) ? from : `${String(Number(to.slice(0, 4)) - turns).padStart(4, "0")}-${from}`;
    const end = dated(to) ? to : `${String(Number(from.slice(0, 4)) + turns).padStart(4, "0")}-${to}`;
    return today >= start && today <= end;
  }
  const now = today.slice(5);
  return from <= to ? now >= from && now <= to : now >= from || now <= to;
}
