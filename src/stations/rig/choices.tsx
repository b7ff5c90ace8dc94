"use client";
import type { Choice } from "../../core/rig/choice-names";
import type { RigRequest } from "../../core/rig/request";
import type { Retrieve } from "../../core/tactics/retrieve-kinds";
import type { Rigging } from "../../state/scenario/use-rigging";
import { useChoices } from "../../state/scenario/use-rig";
import { useChosen } from "../../state/use-chosen";
import { useSettings } from "../../state/settings";
import { Select } from "../../widgets/select";
import { answerName, CHOICE_NAMES } from "../../words/choices";
import { messageText } from "../../words/messages";
import { timingText } from "../../words/timing";

const AUTO = "auto";

type Answers = NonNullable<ReturnType<typeof useChoices>["value"]>[number]["answers"];
type Timings = Pick<Rigging, "timing">;

/** Each answer with what it makes of the rig. */
export function Choices({ asked, timing }: Timings & { asked: RigRequest }) {
  const { value: choices } = useChoices(asked);
  if (!choices)
    return (
      <p role="status" className="text-soft">
        Working out what each choice changes …
      </p>
    );
  return (
    <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2">
      {choices.map(({ choice, answers }) => (
        <OneChoice key={choice} choice={choice} answers={answers} method={asked.method} timing={timing} />
      ))}
    </div>
  );
}

function OneChoice({
  choice,
  answers,
  method,
  timing,
}: Timings & { choice: Choice; answers: Answers; method: RigRequest["method"] }) {
  const system = useSettings((settings) => settings.system);
  const { chosen, choose } = useChosen(method);
  const times = choice === "retrieve" ? timesOf(answers, (retrieve) => timing(method, retrieve)) : undefined;
  const texts = answers.map(({ figures }, index) =>
    [figures.map((one) => messageText(one, system)).join(", "), times && `${times[index]}.`].filter(Boolean).join(" "),
  );
  const named = choice === "retrieve" ? undefined : ({ value }: { value: string }) => answerName(choice, value);
  return (
    <div>
      <Select
        label={CHOICE_NAMES[choice]}
        value={chosen[choice] ?? AUTO}
        onChange={(value) => choose(choice, value === AUTO ? undefined : value)}
        choices={[
          { value: AUTO, label: automatic(choice, answers) },
          ...answers.map(({ value }) => ({ value, label: answerName(choice, value) })),
        ]}
      />
      {texts.length > 1 && new Set(texts).size === 1 ? (
        <p className="mt-1 text-sm text-soft">Makes no difference here: {texts[0]}</p>
      ) : (
        <ul className="mt-1 text-sm text-soft">
          {answers.map((answer, index) => (
            <li key={answer.value} className={answer.chosen ? "font-semibold text-ink" : ""}>
              {named && `${named(answer)}: `}
              {texts[index]}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** How long the place is given with each retrieve, where that differs. */
function timesOf(
  answers: Answers,
  timing: (retrieve: Retrieve) => ReturnType<Rigging["timing"]>,
): string[] | undefined {
  const texts = answers.map(({ value }) => {
    const given = timing(value as Retrieve);
    return given ? timingText(given) : "";
  });
  return new Set(texts).size > 1 ? texts : undefined;
}

function automatic(choice: Choice, answers: Answers): string {
  const now = answers.find(({ chosen }) => chosen);
  return now ? `automatic (${answerName(choice, now.value)})` : "automatic";
}
