"use client";
import { useMemo, useState } from "react";
import { question, type Question, type QuestionKind } from "../../core/drills/questions";
import { stream } from "../../core/quantity/seeded";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { answerWords, optionWords, QUESTION_NAMES, questionWords } from "../../words/drills";

/** One small question: a picture, a few answers, and why. */
export function QuestionDrill({
  kind,
  seed,
  onDone,
  onClose,
}: {
  kind: QuestionKind;
  seed: number;
  onDone: (score: number) => void;
  onClose: () => void;
}) {
  const { system } = useSettings();
  // The question stays while its answer is read, though it has been counted.
  const [asked] = useState(() => question(kind, stream(31 * seed + kind.length)));
  const [chosen, setChosen] = useState<number | undefined>();
  const choices = useMemo(() => asked.options.map((_, k) => optionWords(asked, k, system)), [asked, system]);
  const choose = (index: number) => {
    if (chosen !== undefined) return;
    setChosen(index);
    onDone(index === asked.answer ? 100 : 0);
  };
  return (
    <section aria-label={QUESTION_NAMES[kind]} className="max-w-2xl">
      <h2 className="text-2xl">{QUESTION_NAMES[kind]}</h2>
      <Picture question={asked} />
      <p className="mt-3 text-lg">{questionWords(asked, system)}</p>
      <div className="mt-3 grid gap-2">
        {choices.map((text, k) => (
          <Button
            key={text}
            className="min-h-12 justify-start! text-left"
            tone={chosen !== undefined && k === asked.answer ? "ink" : "plain"}
            disabled={chosen !== undefined && k !== asked.answer && k !== chosen}
            onClick={() => choose(k)}
          >
            {text}
            {chosen === k && (k === asked.answer ? " ✓" : " ✗")}
          </Button>
        ))}
      </div>
      <div role="status" className="mt-3 min-h-20">
        {chosen !== undefined && (
          <>
            <p className="font-semibold">
              {chosen === asked.answer ? "Right." : `The answer: ${choices[asked.answer]}.`}
            </p>
            <p className="text-soft">{answerWords(asked, system)}</p>
          </>
        )}
      </div>
      <Button tone={chosen === undefined ? "plain" : "next"} onClick={onClose}>
        {chosen === undefined ? "Cancel" : "Next drill"}
      </Button>
    </section>
  );
}

function Picture({ question: asked }: { question: Question }) {
  if (asked.kind === "float") return <FloatPicture lean={asked.lean} dips={asked.dips} />;
  if (asked.kind === "sounder") return <SounderPicture range={asked.range} shadow={asked.shadow} />;
  return null;
}

/** A float on the surface, the current from left to right. */
const FloatPicture = ({ lean, dips }: { lean: number; dips: boolean }) => (
  <svg
    viewBox="0 0 300 120"
    className="mt-3 w-full max-w-md rounded-md border border-line"
    role="img"
    aria-label={`A float ${lean > 5 ? "tipped downstream" : lean < -4 ? "tipped slightly upstream" : "upright"}${dips ? ", dipping in one place" : ""}; current from left to right`}
  >
    <rect y={62} width={300} height={58} fill="var(--water-fast)" opacity={0.6} />
    <path d="M20 90h46m-8 -5l8 5l-8 5" stroke="var(--ink)" fill="none" strokeWidth={2} />
    <g transform={`translate(150 ${dips ? 70 : 62}) rotate(${lean})`}>
      <line y1={-40} y2={34} stroke="var(--ink)" strokeWidth={2.5} />
      <ellipse rx={7} ry={19} fill="var(--ochre)" stroke="var(--ink)" strokeWidth={2} />
    </g>
    {dips && <path d="M132 62q18 10 36 0" stroke="var(--ink)" fill="none" strokeWidth={1.5} />}
    <line y1={62} y2={62} x2={300} stroke="var(--ink)" strokeWidth={1} />
  </svg>
);

/** A side picture: the bed pale, a mark on it, and the shadow that it throws away from the boat. */
function SounderPicture({ range, shadow }: { range: number; shadow: number }) {
  const x = (distance: number) => 20 + (260 * distance) / 16;
  return (
    <svg
      viewBox="0 0 300 90"
      className="mt-3 w-full max-w-md rounded-md border border-line"
      role="img"
      aria-label="A side picture of the bed: a bright mark, and its shadow away from the boat"
    >
      <rect width={300} height={90} fill="var(--water-fast)" />
      <rect width={20} height={90} fill="var(--water-slow)" />
      <rect x={x(range)} y={36} width={x(range + shadow) - x(range)} height={18} rx={5} fill="var(--water-slow)" />
      <ellipse cx={x(range)} cy={45} rx={5} ry={11} fill="var(--paper)" stroke="var(--ink)" />
    </svg>
  );
}
