"use client";
import { useState } from "react";
import { RATE_KINDS, type RateKind } from "../../core/book/rate-terms";
import { useSettings } from "../../state/settings";
import { type Learning, useComparison, useRates } from "../../state/use-learn";
import type { RateClass, Side } from "../../store/learn-api";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { Select } from "../../widgets/select";
import { comparisonWords, rateWords } from "../../words/learn";
import { faultText } from "../../words/messages";
import { RATE_KIND_NAMES, rateLabel } from "../../words/rates";
import { capital, choicesOf } from "../../words/text";

const FIRST: Side = [{ kind: "trend", key: "falling" }];
const SECOND: Side = [{ kind: "trend", key: "steady" }];
/** Conditions of a side; more would leave no hours. */
const MOST = 2;

/** Two kinds of fishing held against each other. */
export function Compare({ learning }: { learning: Learning }) {
  const { system } = useSettings();
  const [one, setOne] = useState(FIRST);
  const [other, setOther] = useState(SECOND);
  const names = [useSideName(learning, one), useSideName(learning, other)] as const;
  const found = useComparison(learning, one, other);
  const both = [...one, ...other].every(({ key }) => key !== "");
  return (
    <>
      <h2 className="text-2xl">Compare two filters</h2>
      <div className="mt-3 grid grid-cols-1 gap-x-10 gap-y-4 sm:grid-cols-2">
        <SideOf title="First filter" learning={learning} side={one} onChange={setOne} />
        <SideOf title="Second filter" learning={learning} side={other} onChange={setOther} />
      </div>
      <div className="mt-6" role="status">
        {found.fault && <FaultNote message={faultText(found.fault, system)} onRetry={found.retry} />}
        {both && found.value === null && <p>One of them was never fished, so there is nothing to compare.</p>}
        {both && found.value && names[0] && names[1] && (
          <>
            <p className="text-lg font-semibold">{capital(comparisonWords(found.value, names[0], names[1]))}</p>
            <p className="mt-2">
              {capital(names[0])}: {rateWords(found.value.one)}.
            </p>
            <p>
              {capital(names[1])}: {rateWords(found.value.other)}.
            </p>
            <p className="mt-2 text-sm text-soft">
              Each uses only its own sessions, with the same bunching for both. It shows what your hours gave, not why.
              Other things differed on those days too.
            </p>
          </>
        )}
      </div>
    </>
  );
}

const NONE: RateClass = { kind: "trend", key: "" };

/** "falling and green"; undefined while a class is not known yet. */
function useSideName(learning: Learning, [first = NONE, second]: Side): string | undefined {
  const names = [useName(learning, first), useName(learning, second ?? first)];
  const wanted = second ? names : names.slice(0, 1);
  return wanted.every(Boolean) ? wanted.join(" and ") : undefined;
}

function useName(learning: Learning, { kind, key }: RateClass): string | undefined {
  const { system } = useSettings();
  const found = useRates(learning, kind).value?.classes.find((one) => one.key === key);
  if (!found) return undefined;
  const label = rateLabel(found, kind, system);
  // Spans of a figure say of what; names stand for themselves.
  return found.low === null ? label : `${RATE_KIND_NAMES[kind]} ${label}`;
}

function SideOf({
  title,
  learning,
  side,
  onChange,
}: {
  title: string;
  learning: Learning;
  side: Side;
  onChange: (side: Side) => void;
}) {
  return (
    <fieldset className="grid grid-cols-1 content-start gap-3">
      <legend className="mb-2 text-lg font-semibold">{title}</legend>
      {side.map((one, k) => (
        <ConditionOf
          key={k === 0 ? "first" : "second"}
          and={k > 0}
          learning={learning}
          condition={one}
          onChange={(changed) => onChange(side.map((before, n) => (n === k ? changed : before)))}
        />
      ))}
      {side.length < MOST ? (
        <Button className="justify-self-start" onClick={() => onChange([...side, { kind: "clarity", key: "" }])}>
          Add a condition
        </Button>
      ) : (
        <Button className="justify-self-start" onClick={() => onChange(side.slice(0, 1))}>
          Remove the second condition
        </Button>
      )}
    </fieldset>
  );
}

function ConditionOf({
  and,
  learning,
  condition,
  onChange,
}: {
  and: boolean;
  learning: Learning;
  condition: RateClass;
  onChange: (condition: RateClass) => void;
}) {
  const { system } = useSettings();
  const rates = useRates(learning, condition.kind);
  const classes = rates.value?.classes.filter((one) => one.hours > 0 && one.key !== "unknown") ?? [];
  return (
    <div className="grid grid-cols-2 gap-3">
      <Select
        label={and ? "And property" : "Property"}
        value={condition.kind}
        onChange={(kind) => onChange({ kind: kind as RateKind, key: "" })}
        choices={RATE_KINDS.map((value) => ({ value, label: RATE_KIND_NAMES[value] }))}
      />
      <Select
        label="Value"
        value={condition.key}
        placeholder={classes.length > 0 ? "choose" : "no data"}
        onChange={(key) => onChange({ ...condition, key })}
        choices={choicesOf(
          classes,
          (one) => one.key,
          (one) => rateLabel(one, condition.kind, system),
        )}
      />
    </div>
  );
}
