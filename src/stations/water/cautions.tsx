"use client";
import type { Caution } from "../../core/gauge/cautions";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";

function words(caution: Caution, system: UnitSystem): string {
  switch (caution.kind) {
    case "rising":
      return `Rising fast, ${Math.round(caution.ratePerHour * 100)} % an hour: leave the water, and go out by the way you know.`;
    case "dam":
      return `Dam above: ${caution.note}. Know the way out before you wade; when the water moves or colours, go.`;
    case "tide":
      return "The tide is making: know which bars it cuts off, and leave them first.";
    case "heat":
      return `${showText(caution.temperature, "temperature", system)}: leave trout and salmon alone in water this warm. Local rules stand.`;
    case "cold":
      return `Cold water, ${showText(caution.temperature, "temperature", system)}: it takes breath and hands in minutes. Life jacket or dry layers, a staff and a belt, and not alone in high water.`;
  }
}

/** What is to be heeded now, and what always is. */
export function Cautions({ cautions, system }: { cautions: readonly Caution[]; system: UnitSystem }) {
  return (
    <div className="mb-4 border-l-4 border-double border-clay pl-3">
      {cautions.length > 0 && (
        <ul className="grid gap-1">
          {cautions.map((one) => (
            <li key={one.kind}>
              <span aria-hidden>▲ </span>
              <span className="sr-only">Caution: </span>
              {words(one, system)}
            </li>
          ))}
        </ul>
      )}
      <p className={`text-sm text-soft ${cautions.length ? "mt-1" : ""}`}>
        Always: thunder heard, off the water with the rod down, until half an hour after the last clap. No wading where
        depth times speed is in doubt. Local rules and licences stand above all of this.
      </p>
    </div>
  );
}
