"use client";
import Link from "next/link";
import type { Session } from "../../core/book/records";
import type { Lie } from "../../core/fish/read";
import type { Numbered } from "../../scenario/lie-identity";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { say } from "../../state/notices";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { logCatch } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { Panel } from "../../widgets/panel";
import { flowBandWords, holdWords, othersWords, scoreWords } from "../../words/lie";
import { placeWords } from "../../words/place";
import { inSentence } from "../../words/text";
import { showText } from "../../words/quantity";
import { reasonText } from "../../words/reasons";
import { isGuessed } from "../../core/flow/guessed-bed";
import { doubtWords, tieWords } from "../../words/robustness";
import { TimePanel } from "./time-panel";
import type { ReachView } from "./use-reach-view";

/** Why a lie is a lie, at which flows, for how long; and what to do with it. */
export function WhyPanel({ view, lie }: { view: ReachView; lie: Numbered<Lie> }) {
  const system = useSettings((settings) => settings.system);
  const { scenario, band, approach, book } = view;
  const { river, fish } = scenario;
  const others = othersWords(lie, system);
  const running = book.running?.reach === river.reach?.id ? book.running : undefined;
  return (
    <Panel
      id="why-this-lie"
      className="flex scroll-mt-20 flex-col"
      title={`Why lie ${lie.number}: ${inSentence(placeWords(lie.place))}`}
    >
      {band && <p className="mb-2 font-semibold">{flowBandWords(band, system)}</p>}
      <ul className="grid gap-2">
        {lie.reasons.map((reason) => (
          <li key={reason.kind}>{reasonText(reason, system)}</li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-soft">{scoreWords(lie)}</p>
      <Doubt view={view} lie={lie} />
      {others && <p className="mt-2 text-sm">{others}</p>}
      {lie.hold.of > 1 && <p className="mt-2 text-sm">{holdWords(lie.hold)}</p>}
      <p className="mt-2 text-sm text-soft">
        Dashed ring: its territory, {showText(fish.species.territory, "distance", system)} across.
      </p>
      {approach.value && <TimePanel lie={lie.number} timing={approach.value.timing} />}
      {running && (
        <Button tone="next" className="mt-4 min-h-14 w-full" onClick={() => act(() => logHere(running, lie))}>
          Fish from lie {lie.number}
        </Button>
      )}
      <div className="mt-auto pt-4">
        <Link
          href="/rig"
          className="flex min-h-12 items-center justify-between rounded-md bg-ink px-4 font-semibold text-paper"
        >
          Rig for lie {lie.number}
          <span aria-hidden>→</span>
        </Link>
      </div>
    </Panel>
  );
}

/** How sure the lie is, and with which better one it ties. */
function Doubt({ view, lie }: { view: ReachView; lie: Numbered<Lie> }) {
  const lies = view.scenario.reading.value?.lies ?? [];
  const index = lies.findIndex((one) => one.number === lie.number);
  const holds = view.robustness?.lies[index];
  if (!holds) return null;
  const better = view.robustness?.tied[index];
  return (
    <p className="mt-2 text-sm">
      {doubtWords(holds, isGuessed(view.scenario.river.reach?.reach))}{" "}
      {better != null && lies[better] && tieWords(lies[better].number)}
    </p>
  );
}

async function logHere(session: Session, lie: Numbered<Lie>): Promise<void> {
  const place = { x: lie.x, y: lie.y };
  const { undo } = await logCatch(database(), session, { lie: placeWords(lie.place), place }, clockNow());
  say(`Fish saved on lie ${lie.number}.`, { label: "Undo", run: () => act(undo) });
}
