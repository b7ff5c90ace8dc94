"use client";
import type { RigAdvice } from "../../core/rig/advice";
import { methodWords } from "../../words/methods";
import type { UnitSystem } from "../../words/quantity";

/** The figure that is read at arm's length, and the sentence that goes with it. */
export function CardHead({ advice, system }: { advice: RigAdvice; system: UnitSystem }) {
  const words = methodWords(advice);
  const { label, figure, unit } = words.figure(advice, system);
  return (
    <>
      <p className="text-soft">{label}</p>
      <p className="text-4xl leading-tight font-bold sm:text-5xl" data-testid="setting">
        {figure}
        <span className="ml-2 text-2xl font-normal">{unit}</span>
      </p>
      {words.beside(advice, system).map((text) => (
        <p key={text} className="mt-0.5">
          {text}
        </p>
      ))}
    </>
  );
}
