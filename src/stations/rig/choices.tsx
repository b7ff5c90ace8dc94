"use client";
import type { Choice } from "../../core/rig/choice-names";
import type { RigRequest } from "../../core/rig/request";
import { useChoices } from "../../state/scenario/use-rig";
import { useChosen } from "../../state/use-chosen";
import { useSettings } from "../../state/settings";
import { Select } from "../../widgets/select";
import { answerName, CHOICE_NAMES } from "../../words/choices";
import { messageText } from "../../words/messages";

const AUTO = "auto";

/** Each answer with what it makes of the rig. */
export function Choices({ asked }: { asked: RigRequest }) {
  const system = useSettings((settings) => settings.system);
  const { value: choices } = useChoices(asked);
  const { chosen, choose } = useChosen(asked.method);
  return (
    <>
      {!choices ? (
        <p role="status" className="text-soft">
          Working out what each choice changes …
        </p>
      ) : (
        <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2">
          {choices.map(({ choice, answers }) => (
            <div key={choice}>
              <Select
                label={CHOICE_NAMES[choice]}
                value={chosen[choice] ?? AUTO}
                onChange={(value) => choose(choice, value === AUTO ? undefined : value)}
                choices={[
                  { value: AUTO, label: automatic(choice, answers) },
                  ...answers.map(({ value }) => ({ value, label: answerName(choice, value) })),
                ]}
              />
              <ul className="mt-1 text-sm text-soft">
                {answers.map(({ value, chosen: on, figures }) => (
                  <li key={value} className={on ? "font-semibold text-ink" : ""}>
                    {choice === "retrieve" ? "" : `${answerName(choice, value)}: `}
                    {figures.map((one) => messageText(one, system)).join(", ")}
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </div>
      )}
    </>
  );
}

function automatic(choice: Choice, answers: readonly { value: string; chosen: boolean }[]): string {
  const now = answers.find(({ chosen }) => chosen);
  return now ? `automatic (${answerName(choice, now.value)})` : "automatic";
}
