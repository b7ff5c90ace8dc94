"use client";
import { useLiveAnswer } from "../../state/live-answer";
import { useState } from "react";
import { EVERY_FISH, type RuleRecord } from "../../core/book/bank-records";
import { isStale } from "../../core/book/rules-for";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { Button } from "../../widgets/button";
import { rulePartsWords } from "../../words/rules";
import { dayOnly } from "../../words/river";
import { RuleDialog } from "./rule-dialog";

/** The local rules as this angler entered them: they remind; the local authority's own stand above. */
export function RulesPanel({ river }: { river: River }) {
  const { system } = useSettings();
  const { nameOf } = useFishes();
  const [open, setOpen] = useState<RuleRecord | "new" | undefined>();
  const rules = useLiveAnswer(async () => (await database().rules.toArray()).filter((one) => !one.deleted), []);
  const nameOfReach = (id: string | null) =>
    id === null ? "All waters" : (river.reaches.find((one) => one.id === id)?.reach.name ?? "a deleted reach");
  return (
    <section aria-label="Local rules">
      <p className="mb-3 text-soft">
        Each fish you land is checked against the rules you add here. They are a reminder: local rules and your licence
        come first.
      </p>
      <Button tone="ink" onClick={() => setOpen("new")}>
        Add a rule
      </Button>
      {rules?.length === 0 && <p className="mt-3 rounded-md border border-line p-4">No rules yet.</p>}
      <ul className="mt-3 grid gap-3 sm:grid-cols-2">
        {rules?.map((rule) => (
          <li key={rule.id} className="rounded-md border border-line p-4">
            <h2 className="text-lg">
              {rule.species === EVERY_FISH ? "All fish" : nameOf(rule.species)} · {nameOfReach(rule.reach)}
              {rule.bank === "both" ? "" : `, ${rule.bank} bank`}
            </h2>
            <ul className="my-1">
              {rulePartsWords(rule, system).map((part) => (
                <li key={part}>{part}</li>
              ))}
            </ul>
            <p className={isStale(rule, river.minute) ? "font-semibold" : "text-soft"}>
              {isStale(rule, river.minute) ? "▲ Check again: " : ""}entered {dayOnly(rule.entered)}
              {rule.expires ? `, until ${rule.expires}` : ""}
            </p>
            <button type="button" className="min-h-11 min-w-11 text-left underline" onClick={() => setOpen(rule)}>
              Edit rule
            </button>
          </li>
        ))}
      </ul>
      {open && (
        <RuleDialog
          key={open === "new" ? "new" : open.id}
          rule={open === "new" ? undefined : open}
          river={river}
          onClose={() => setOpen(undefined)}
        />
      )}
    </section>
  );
}
