"use client";
import type { ReactNode } from "react";
import type { RigAdvice } from "../../core/rig/advice";
import type { Message } from "../../core/quantity/message";
import { messageText } from "../../words/messages";
import type { UnitSystem } from "../../words/quantity";
import { rigWords } from "../../words/rig";
import { capital } from "../../words/text";
import { CardHead } from "./card-head";
import { PurposeButtons } from "./purpose-buttons";
import { ShotStrip } from "./shot-strip";
import { Swatch } from "./swatch";
import { leaderWords } from "./leader-words";

/** Cautions that stand over the rig. */
const URGENT: readonly string[] = ["too-warm-to-play", "leader-breaks"];

/** Colours that the card has room for. */
const MOST_COLOURS = 4;
/** Changes that the card has room for; the coach knows them all. */
const MOST_CHANGES = 3;

/** What to tie on and how deep: to be read at arm's length, on one phone screen and on one page. */
export function RigCard({
  advice,
  cast,
  changes,
  second,
  system,
}: {
  advice: RigAdvice;
  /** Where to stand and where it lands, line by line. */
  cast: readonly string[];
  changes: readonly Message[];
  /** The second rod, in words; none where there is no other way. */
  second: string | undefined;
  system: UnitSystem;
}) {
  const words = rigWords(advice, system);
  const [urgent, usual] = [
    words.cautions.filter((_, k) => URGENT.includes(advice.cautions[k]!.code)),
    words.cautions.filter((_, k) => !URGENT.includes(advice.cautions[k]!.code)),
  ];
  return (
    <section
      aria-label="Rig card"
      className="break-inside-avoid rounded-lg border-2 border-ink px-4 py-2 leading-snug sm:py-4 print:border print:p-3"
    >
      {urgent.map((text) => (
        <p key={text} className="mb-2 border-l-4 border-double border-clay pl-3 font-semibold">
          <span aria-hidden>▲ </span>
          {text}
        </p>
      ))}
      <CardHead advice={advice} system={system} />
      {"ladder" in advice && advice.ladder.length > 1 && (
        <PurposeButtons method={advice.method} purpose={advice.purpose} />
      )}
      <Part
        title={capital(words.lure.category)}
        more={`${words.lure.size}${words.lure.hookStyle === "weedless" ? ", rigged weedless" : ""}`}
      >
        <p className="text-[15px] text-soft">{leaderWords(advice, system)}</p>
        <ol className="mt-1 flex flex-wrap gap-x-2.5" aria-label="Colours, best first">
          {words.lure.colours.slice(0, MOST_COLOURS).map((colour, k) => (
            <li key={colour} className="flex items-center gap-1">
              <Swatch colour={advice.lure.colours[k]!} />
              {colour}
            </li>
          ))}
        </ol>
      </Part>
      {advice.method === "float" && <ShotStrip advice={advice} system={system} />}
      {cast.length > 0 && (
        <Part title="Cast">
          <p className="text-[15px] sm:text-base">{cast.join(" ")}</p>
        </Part>
      )}
      <Part title="If nothing bites">
        <ol className="flex flex-wrap gap-x-3">
          {changes.slice(0, MOST_CHANGES).map((one, k) => (
            <li key={one.code}>
              {k + 1}. {messageText(one, system)}
            </li>
          ))}
        </ol>
      </Part>
      {second && (
        <p className="mt-1 border-t border-line pt-1 sm:mt-1.5 sm:pt-1.5">
          <strong>Second rod:</strong> {second}
        </p>
      )}
      <ul
        className="mt-1 border-t border-line pt-1 sm:mt-1.5 sm:pt-1.5 text-sm leading-tight text-soft"
        aria-label="Safety"
      >
        {usual.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}

const Part = ({ title, more, children }: { title: string; more?: string; children: ReactNode }) => (
  <div className="mt-1 border-t border-line pt-1 sm:mt-1.5 sm:pt-1.5">
    <div className="flex flex-wrap items-baseline gap-x-2">
      <h2 className="text-lg leading-tight">{title}</h2>
      {more && <p>{more}</p>}
    </div>
    {children}
  </div>
);
