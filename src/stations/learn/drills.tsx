"use client";
import { act } from "../../state/act";
import { usePreferences } from "../../state/use-preferences";
import { setDrill } from "../../store/preferences";
import { useMemo, useState } from "react";
import { QUESTIONS, type QuestionKind } from "../../core/drills/questions";
import { afterTry, nextDrill, PASSED } from "../../core/drills/schedule";
import { type Grade, GRADES } from "../../core/drills/waters";
import { useLiveAnswer } from "../../state/live-answer";
import { knownPlace } from "../../core/book/places";
import { useBook } from "../../state/use-book";
import { useFishes } from "../../state/use-fishes";
import { useRiver } from "../../state/use-river";
import { database } from "../../store/database";
import { count } from "../../words/text";
import { useMinute } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { Button } from "../../widgets/button";
import { Panel } from "../../widgets/panel";
import { GRADE_NAMES, QUESTION_NAMES } from "../../words/drills";
import { figureText } from "../../words/quantity";
import { moment } from "../../words/river";
import { QuestionDrill } from "./question-drill";
import { ReachDrill } from "./reach-drill";

type DrillId = `water-${Grade}` | QuestionKind;
const ORDER: readonly DrillId[] = [
  "water-1",
  "float",
  "water-2",
  "clarity",
  "water-3",
  "sounder",
  "water-4",
  "water-5",
];

const gradeOf = (id: DrillId): Grade | undefined => GRADES.find((grade) => id === `water-${grade}`);
const nameOf = (id: DrillId): string => {
  const grade = gradeOf(id);
  return grade ? GRADE_NAMES[grade] : QUESTION_NAMES[QUESTIONS.find((one) => one === id)!];
};

/** New to a season or a fish: on a known, busy spot first. */
function LearnTheBite() {
  const { species } = useSettings();
  const fishes = useFishes();
  const { sessions, catches } = useBook();
  const river = useRiver();
  const observations = useLiveAnswer(() => database().observations.toArray(), []);
  const name = fishes.nameOf(species).toLowerCase();
  const known = useMemo(
    () => knownPlace(sessions, catches, observations ?? [], species),
    [sessions, catches, observations, species],
  );
  const reach = known && river.reaches.find((one) => one.id === known.reach)?.reach.name;
  return (
    <p className="mt-2 max-w-3xl">
      New to the season, or to {name}? Learn the bite where you know there are fish, then go to quiet water.{" "}
      {known && reach
        ? `In your log that’s ${known.lie.toLowerCase()}, ${reach}: ${count(known.landed, "fish", "fish")}${known.others > 0 ? `, and ${count(known.others, "other")} with fish` : ""}.`
        : "Your log has no such place yet. Go where others catch them, and note it on Session."}
    </p>
  );
}

/** Drills: waters to be read and small questions; what was missed comes back soon. */
export function Drills() {
  const { drills } = usePreferences();
  const now = useMinute();
  const [open, setOpen] = useState<DrillId | undefined>();
  const next = useMemo(() => nextDrill(ORDER, drills, now), [drills, now]);
  const done = (id: DrillId, score: number) =>
    act(() => setDrill(database(), id, (card) => afterTry(card, score, now)));
  if (open) {
    const grade = gradeOf(open);
    const seed = drills[open]?.tries ?? 0;
    const ended = { onDone: (score: number) => done(open, score), onClose: () => setOpen(undefined) };
    return grade ? (
      <ReachDrill key={open} grade={grade} seed={seed} {...ended} />
    ) : (
      <QuestionDrill key={open} kind={open as QuestionKind} seed={seed} {...ended} />
    );
  }
  return (
    <>
      <h2 className="text-2xl">Drills</h2>
      <p className="max-w-3xl text-soft">
        You mark where fish hold on a practice river, and the flow model marks you. What you miss comes back in ten
        minutes; what you get right comes back later.
      </p>
      <LearnTheBite />
      <Button tone="next" className="mt-4" onClick={() => setOpen(next)}>
        Next: {nameOf(next)}
      </Button>
      <Panel title="All drills" className="mt-6">
        <ul className="divide-y divide-line border-y border-line">
          {ORDER.map((id) => {
            const card = drills[id];
            return (
              <li key={id} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-2">
                <span className="min-w-0 flex-1 basis-56 font-semibold">{nameOf(id)}</span>
                <span className="text-soft tabular-nums">
                  {card
                    ? `best ${figureText(card.best, 0)} of 100${card.best >= PASSED ? "" : ", missed"}; ${card.due <= now ? "due now" : `next ${moment(card.due, now)}`}`
                    : "not tried yet"}
                </span>
                <Button
                  onClick={() => setOpen(id)}
                  aria-label={`${card ? "Repeat drill" : "Try drill"}: ${nameOf(id)}`}
                >
                  {card ? "Repeat drill" : "Try drill"}
                </Button>
              </li>
            );
          })}
        </ul>
      </Panel>
    </>
  );
}
