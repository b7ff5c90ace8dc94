"use client";
import Link from "next/link";
import { useEffect, useState } from "react";
import { sample } from "../../core/flow/grid";
import { roughnessHeight } from "../../core/flow/profile";
import type { Lie } from "../../core/fish/read";
import { show, showText } from "../../core/quantity/show";
import { type Parsed, parseQuantity } from "../../core/quantity/units";
import type { RigAdvice, RigRequest } from "../../core/rig/advise";
import type { Metal } from "../../core/rig/drag";
import type { Shotting } from "../../core/rig/shot";
import { FaultNote, Panel, Select } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { type LieView, useLieView } from "../../ui/use-lie";
import { readWorker } from "../../workers/clients";
import { SideView } from "./side-view";
import { Swatch } from "./swatch";

interface Tackle {
  capacity: string;
  line: string;
  leader: string;
  metal: Metal;
  shotting: "" | Shotting;
}

/** Rig: what to tie on for the chosen lie, and how deep. */
export function RigStation() {
  const view = useLieView();
  const { system, set } = useSettings();
  const [tackle, setTackle] = useState<Tackle>({
    capacity: "",
    line: "0.2 mm",
    leader: "0.4 m",
    metal: "tin",
    shotting: "",
  });
  const { lie, reading, field, river } = view;
  const roughness =
    lie && field.field
      ? sample(field.field.roughness, field.field.nx, field.field.ny, field.field.cell, lie.x, lie.y)
      : 0.035;
  const { advice, fault } = useAdvice(view, lie, roughness, tackle);
  if (!river.reach)
    return (
      <p className="rounded-md border border-line p-4">
        No reach in the book yet.{" "}
        <Link href="/reach" className="underline">
          Make one on Reach.
        </Link>
      </p>
    );
  if (field.fault) return <FaultNote message={field.fault.message} todo="Pick another flow on Reach." />;
  if (!lie || !reading)
    return (
      <p role="status" className="p-6 text-soft">
        Working out the flow and the lies …
      </p>
    );
  return (
    <div className="mx-auto max-w-6xl">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl">
            Lie {lie.rank}: {lie.place}
          </h1>
          <p className="text-soft">
            {river.reach.reach.name} at {showText(field.field!.discharge, "discharge", system)}
            {view.isNow ? ", the flow now" : ""}
            {field.settled ? "" : "; the flow is still being worked out"}
          </p>
        </div>
        <Select
          label="Lie"
          className="w-full sm:w-72"
          value={String(lie.rank)}
          onChange={(rank) => set({ lie: Number(rank) })}
          choices={reading.lies.map((one) => ({ value: String(one.rank), label: `${one.rank}. ${one.place}` }))}
        />
      </div>
      {fault && <FaultNote message={fault} todo="Change the tackle, or pick another lie." />}
      {!advice && fault && <TackleForm tackle={tackle} onChange={setTackle} />}
      {advice && (
        <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1.25fr_1fr]">
          <div className="order-last lg:order-none">
            <SideView
              lie={lie}
              rig={advice}
              roughness={roughness}
              visibleDepth={view.look.visibleDepth}
              system={system}
            />
            <p className="mt-1 text-sm text-soft">
              To scale. Left: how the current runs from bed to surface (log profile). Darker below: not seen from above.
            </p>
            <TackleForm tackle={tackle} onChange={setTackle} />
          </div>
          <Card lie={lie} advice={advice} />
        </div>
      )}
    </div>
  );
}

/** Advice for the lie and the tackle, from the worker. */
function useAdvice(
  view: LieView,
  lie: Lie | undefined,
  roughness: number,
  tackle: Tackle,
): { advice: RigAdvice | undefined; fault: string | undefined } {
  const system = useSettings((settings) => settings.system);
  const [state, setState] = useState<{ advice: RigAdvice | undefined; fault: string | undefined }>({
    advice: undefined,
    fault: undefined,
  });
  const { visibleDepth, temperature, light } = view.look;
  const entries = {
    capacity:
      tackle.capacity.trim() === "" ? { ok: true as const, value: NaN } : parseQuantity(tackle.capacity, "mass", "g"),
    lineDiameter: parseQuantity(tackle.line, "length", "mm"),
    leader: parseQuantity(tackle.leader, "length", system === "us" ? "ft" : "m"),
  };
  const wrong = Object.entries(entries).find(([, entry]) => !entry.ok);
  const value = (entry: Parsed) => (entry.ok ? entry.value : NaN);
  const request: RigRequest | undefined = wrong
    ? undefined
    : lie && {
        method: "float",
        species: view.fish.base,
        light,
        water: {
          depth: lie.depth,
          meanSpeed: lie.meanSpeed,
          bedRoughness: roughnessHeight(roughness, lie.depth),
          visibleDepth,
          temperature,
        },
        tackle: {
          ...(tackle.capacity.trim() === "" ? {} : { capacity: value(entries.capacity) * 1000 }),
          lineDiameter: value(entries.lineDiameter),
          leader: value(entries.leader),
          metal: tackle.metal,
        },
        style: tackle.shotting ? { shotting: tackle.shotting } : {},
      };
  const key = JSON.stringify(request);
  useEffect(() => {
    if (!key) return;
    let gone = false;
    void readWorker()
      .rig(JSON.parse(key) as RigRequest, system)
      .then((answer) => {
        if (gone) return;
        setState(
          answer.ok ? { advice: answer.value, fault: undefined } : { advice: undefined, fault: answer.fault.message },
        );
      });
    return () => {
      gone = true;
    };
  }, [key, system]);
  if (wrong && !wrong[1].ok)
    return { advice: undefined, fault: `${TACKLE_NAMES[wrong[0] as keyof typeof entries]}: ${wrong[1].message}` };
  return state;
}

const TACKLE_NAMES = { capacity: "Float carries", lineDiameter: "Line", leader: "Leader" };

/** What to tie on and how deep: to be read at arm's length. */
function Card({ lie, advice }: { lie: Lie; advice: RigAdvice }) {
  const system = useSettings((settings) => settings.system);
  const setting = show(advice.setting, "depth", system);
  return (
    <section aria-label="Rig card" className="rounded-lg border-2 border-ink p-5">
      {advice.cautions.map((text) => (
        <p key={text} className="mb-3 border-l-4 border-double border-clay pl-3 font-semibold">
          <span aria-hidden>▲ </span>
          {text}
        </p>
      ))}
      <p className="text-soft">Float to lowest shot</p>
      <p className="text-5xl font-bold" data-testid="setting">
        {setting.figure}
        <span className="ml-2 text-2xl font-normal">{setting.unit}</span>
      </p>
      <p className="mt-1">
        in {showText(lie.depth, "depth", system)} of water
        {advice.holdBack > 0
          ? `; hold back to ${Math.round((1 - advice.holdBack) * 100)} % of the surface pace`
          : "; let it run free"}
      </p>
      <h2 className="mt-4 text-lg">{advice.lure.category}</h2>
      <p>{advice.lure.size}</p>
      {advice.lure.category !== "small jig under a float" && (
        <p className="mt-1 text-sm text-soft">Dressing the hook, or changing to a jig: colours in this order.</p>
      )}
      <ol className="mt-2 flex flex-wrap gap-x-4 gap-y-1" aria-label="Colours, best first">
        {advice.lure.colours.map((colour, k) => (
          <li key={colour} className="flex items-center gap-2">
            <Swatch colour={colour} />
            {k + 1}. {colour}
          </li>
        ))}
      </ol>
      <h2 className="mt-4 text-lg">
        Shot, {advice.shotting}, under a float that carries {showText(advice.capacity / 1000, "lureMass", system)}
      </h2>
      <table className="w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th className="font-normal">Shot</th>
            <th className="font-normal">Under the float</th>
            <th className="text-right font-normal">Weight</th>
          </tr>
        </thead>
        <tbody>
          {advice.shot.map((shot, k) => (
            <tr key={k} className="border-t border-line">
              <td className="py-1">
                {shot.count} × {shot.size}
              </td>
              <td>{showText(shot.below, "depth", system)}</td>
              <td className="text-right">{showText((shot.grams * shot.count) / 1000, "shotMass", system)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="mt-4 text-lg">Why</h2>
      <ul className="mt-1 grid gap-1.5 text-[15px]">
        {advice.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <p className="mt-3 text-sm text-soft">
        Float: line in equilibrium with the log profile. Lure: rules of the craft. Your own log outranks both.
      </p>
    </section>
  );
}

function TackleForm({ tackle, onChange }: { tackle: Tackle; onChange: (tackle: Tackle) => void }) {
  const input = (key: "capacity" | "line" | "leader", label: string) => (
    <label className="block">
      <span className="mb-1 block text-sm text-soft">{label}</span>
      <input
        value={tackle[key]}
        placeholder={key === "capacity" ? "auto" : undefined}
        onChange={(event) => onChange({ ...tackle, [key]: event.target.value })}
        className="min-h-11 w-full rounded-md border border-line bg-paper px-3"
      />
    </label>
  );
  return (
    <Panel title="Your tackle" className="mt-5">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-5">
        {input("capacity", "Float carries")}
        {input("line", "Line")}
        {input("leader", "Leader")}
        <Select
          label="Shot of"
          value={tackle.metal}
          onChange={(metal) => onChange({ ...tackle, metal: metal as Metal })}
          choices={["tin", "tungsten", "bismuth", "lead"].map((value) => ({ value, label: value }))}
        />
        <Select
          label="Shotting"
          value={tackle.shotting || "auto"}
          onChange={(value) => onChange({ ...tackle, shotting: value === "auto" ? "" : (value as Shotting) })}
          choices={[
            { value: "auto", label: "auto" },
            { value: "tapered", label: "tapered" },
            { value: "bulk", label: "bulk" },
            { value: "even", label: "even" },
          ]}
        />
      </div>
    </Panel>
  );
}
