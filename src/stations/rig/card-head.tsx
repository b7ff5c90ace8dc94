"use client";
import type { RigAdvice } from "../../core/rig/advice";
import { tell } from "../../words/messages";
import { figureText, show, showText, type UnitSystem } from "../../words/quantity";
import { weightText } from "../../words/weight";

interface Head {
  label: string;
  figure: string;
  unit: string;
}

/** The figure that is read at arm's length, and the sentence that goes with it. */
export function CardHead({ advice, system }: { advice: RigAdvice; system: UnitSystem }) {
  const { label, figure, unit } = headOf(advice, system);
  return (
    <>
      <p className="text-soft">{label}</p>
      <p className="text-4xl leading-tight font-bold sm:text-5xl" data-testid="setting">
        {figure}
        <span className="ml-2 text-2xl font-normal">{unit}</span>
      </p>
      {sentencesOf(advice, system).map((text) => (
        <p key={text} className="mt-0.5">
          {text}
        </p>
      ))}
    </>
  );
}

function headOf(advice: RigAdvice, system: UnitSystem): Head {
  const grams = (value: number) => ({ figure: figureText(value, value < 3 ? 2 : value < 20 ? 1 : 0), unit: "g" });
  switch (advice.method) {
    case "float":
      return {
        label: `Float to lowest shot${advice.sliding ? ", sliding, with a stop" : ""}`,
        ...show(advice.setting, "depth", system),
      };
    case "drift":
      return {
        label: "Shot above the hook",
        figure: `${advice.pieces} ×`,
        unit: `${figureText(advice.piece, 2)} g${advice.size ? ` (${advice.size})` : ""}`,
      };
    case "sinker":
      return { label: "Holding sinker", ...grams(advice.grams) };
    case "drop-shot":
      return { label: "Weight under the hook", ...grams(advice.grams) };
    case "dead-bait":
      return { label: "Head for the bait", ...grams(advice.grams) };
    case "jig":
    case "spoon":
      return {
        label: advice.method === "jig" ? "Head" : "Spoon",
        figure: figureText(advice.head.grams, advice.head.grams < 3 ? 2 : 1),
        unit: `g, count ${figureText(advice.countdown, 0)}`,
      };
    case "plug":
      return { label: "Line out at the fish", ...show(advice.lineOut, "distance", system) };
    case "spinner": {
      const { turns } = advice[advice.advice];
      return turns < 0.05
        ? { label: "Down and across", figure: "hold", unit: "the current turns it" }
        : {
            label: advice.advice === "up" ? "Cast upstream" : "Down and across",
            figure: figureText(turns, 1),
            unit: "turns a second",
          };
    }
  }
}

/** Codes of the reasons that go with the figure. */
const BESIDE = [
  "hold-back",
  "run-free",
  "bait-leads",
  "bait-trails",
  "bait-under",
  "drift-taps",
  "drift-none-taps",
  "weight-rolls",
  "bait-floats",
  "drop-shot-hook",
  "jig-none-touches",
  "jig-sink",
  "plug-touches",
  "plug-short",
  "plug-with",
  "plug-against",
  "plug-reel",
  "spinner-tip",
  "spinner-bottom",
];

function sentencesOf(advice: RigAdvice, system: UnitSystem): string[] {
  const found = advice.reasons.filter(({ code }) => BESIDE.includes(code)).slice(0, 2);
  if (advice.method === "float") {
    const pace = `${figureText(100 * (1 - advice.holdBack), 0)} % of the surface speed`;
    const lead = Math.abs(advice.lead);
    return [
      `${advice.holdBack > 0 ? `Hold back to ${pace}` : "Let it run free"}: the bait ${
        lead < 0.02
          ? "runs under the float"
          : `${advice.lead > 0 ? "leads" : "trails"} by ${showText(lead, "depth", system)}`
      }, ${showText(advice.baitHeight, "depth", system)} off the bottom.`,
    ];
  }
  if (advice.method === "jig" || advice.method === "spoon")
    return [
      `${weightText(advice.head.grams, system)} of ${advice.head.metal}.`,
      ...found.map((one) => tell(one, system)),
    ];
  return found.map((one) => tell(one, system));
}
