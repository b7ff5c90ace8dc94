"use client";
import { useRef, useState } from "react";
import type { StationRecord } from "../../core/book/records";
import { faultOf, InputError } from "../../core/quantity/fault";
import { layReach } from "../../core/flow/lay";
import { type Feature, type Reach, checkReach, readReach } from "../../core/flow/reach";
import { centreline, templateSize } from "../../core/flow/template";
import { type TemplateName, TEMPLATES } from "../../core/flow/template-waters";
import { parseQuantity, type UnitSystem } from "../../core/quantity/units";
import { entryUnit, show } from "../../core/quantity/show";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { MEASURES } from "./template-measures";

const START = { length: 120, width: 20, poolDepth: 1.4, wiggle: 3 };
const none = "none";

/** A new reach: a riffle, run and pool shaped by a few measures, or a reach file with its own bed. */
export function NewReach({
  open,
  onOpenChange,
  stations,
  onSoundings,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
  onSoundings: () => void;
}) {
  const { system, set } = useSettings();
  const [name, setName] = useState("");
  const [texts, setTexts] = useState(() => startTexts(system));
  const [water, setWater] = useState<TemplateName>("riffle-run-pool");
  const [fall, setFall] = useState("3");
  const [stones, setStones] = useState("3");
  const [jam, setJam] = useState("left");
  const [chosenStation, setStation] = useState<string | undefined>();
  // The list of gauges arrives after this form is first laid out.
  const station = chosenStation ?? stations[0]?.id ?? none;
  const [fault, setFault] = useState<string | undefined>();
  const picker = useRef<HTMLInputElement>(null);

  async function keep(reach: Reach): Promise<void> {
    layReach(reach); // lays the bed once: a fault in it is told here, not on the plan
    await database().reaches.put({
      schema: "low-heron/reach-record@1",
      id: reach.id,
      updatedAt: new Date().toISOString(),
      station: station === none ? null : station,
      reach,
    });
    set({ reach: reach.id, station: null, flow: null, lie: 1 });
    say(`${reach.name} is in the book.`);
    setFault(undefined);
    onOpenChange(false);
  }

  const attempt = (work: () => Promise<void>) =>
    void work().catch((error: unknown) => {
      const { message, path, line } = faultOf(error);
      setFault(`${message}${line ? ` (line ${line})` : path ? ` (${path})` : ""}`);
    });

  const build = () =>
    attempt(async () => {
      const metres = Object.fromEntries(
        Object.entries(texts).map(([key, text]) => {
          const parsed = parseQuantity(text, "length", entryUnit(key === "poolDepth" ? "depth" : "distance", system));
          if (!parsed.ok)
            throw new InputError("bad-number", `${MEASURES[key as keyof typeof texts]}: ${parsed.message}`);
          return [key, parsed.value];
        }),
      ) as typeof START;
      const slope = Number(fall.replace(",", ".")) / 1000;
      const template = {
        kind: "template",
        template: water,
        length: metres.length,
        width: metres.width,
        poolDepth: metres.poolDepth,
        slope,
        wiggle: metres.wiggle,
        cell: 0.5,
      } as const;
      await keep(
        checkReach({
          schema: "low-heron/reach@1",
          id: newId(),
          name: name.trim() || "My reach",
          bed: template,
          roughness: 0.035,
          downstream: { kind: "normal", slope },
          features: featuresFor(template, Number(stones), jam),
        }),
      );
    });

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Make a reach"
      about="Start from a kind of water and a few measures, paced or guessed; stones, logs and walls are moved on the plan afterwards."
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          maxLength={120}
          placeholder="My reach"
          className="sm:col-span-2"
        />
        <Select
          label="Kind of water"
          className="sm:col-span-2"
          value={water}
          onChange={(value) => setWater(value as TemplateName)}
          choices={TEMPLATES.map((value) => ({ value, label: WATERS[value] }))}
        />
        {(Object.keys(texts) as (keyof typeof texts)[]).map((key) => (
          <TextField
            key={key}
            label={MEASURES[key]}
            value={texts[key]}
            onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
          />
        ))}
        <TextField
          label="Fall of the river, m in a kilometre"
          inputMode="decimal"
          value={fall}
          onChange={(event) => setFall(event.target.value)}
          hint="1 lazy, 3 usual, 8 steep"
        />
        <Select
          label="Stones"
          value={stones}
          onChange={setStones}
          choices={["0", "1", "2", "3", "4", "5"].map((value) => ({ value, label: value }))}
        />
        <Select
          label="Log jam"
          value={jam}
          onChange={setJam}
          choices={[
            { value: none, label: "None" },
            { value: "left", label: "On the left bank" },
            { value: "right", label: "On the right bank" },
          ]}
        />
        <Select
          label="Gauge"
          value={station}
          onChange={setStation}
          choices={[{ value: none, label: "No gauge" }, ...stations.map((one) => ({ value: one.id, label: one.name }))]}
        />
      </div>
      {fault && (
        <div className="mt-3">
          <FaultNote message={fault} todo="Nothing was changed." />
        </div>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        <Button tone="next" onClick={build}>
          Make it
        </Button>
        <Button onClick={() => picker.current?.click()}>Open a reach file instead</Button>
        <Button onClick={onSoundings}>From soundings</Button>
        <input
          ref={picker}
          type="file"
          accept=".json"
          aria-label="Reach file"
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) attempt(async () => keep(readReach(await file.text(), file.name)));
          }}
        />
      </div>
    </Dialog>
  );
}

const WATERS: Record<TemplateName, string> = {
  "riffle-run-pool": "Riffle, run and pool",
  bend: "Bend",
  "boulder-garden": "Boulder garden",
  "weed-glide": "Long glide with weed",
  "two-channels": "Ledge with two channels",
  "sand-bar": "Sand bar with stumps",
  backwater: "Mouth of a backwater",
  sluice: "Pool below a sluice",
  "tributary-mouth": "Mouth of a tributary",
};

function startTexts(system: UnitSystem) {
  const text = (value: number, kind: "distance" | "depth") => show(value, kind, system).text;
  return {
    length: text(START.length, "distance"),
    width: text(START.width, "distance"),
    poolDepth: text(START.poolDepth, "depth"),
    wiggle: text(START.wiggle, "distance"),
  };
}

type Shape = Extract<Reach["bed"], { kind: "template" }>;

/** Stones spread down the run to both sides of its middle, and a jam on the pool's bank: common practice, no source. */
function featuresFor(template: Shape, stones: number, jam: string): Feature[] {
  const { length, width } = template;
  const features = Array.from({ length: stones }, (_, k): Feature => {
    const x = length * (0.32 + (0.42 * k) / Math.max(1, stones - 1 || 1));
    const size = Math.max(1.6, width * (0.09 + 0.02 * (k % 3)));
    return {
      kind: "boulder",
      x,
      y: centreline(template, x) + width * 0.16 * (k % 2 ? 1 : -1),
      diameter: size,
      height: size * 0.45,
      name: `stone ${k + 1}`,
    };
  });
  if (jam !== none) {
    const x = length * 0.58;
    const side = jam === "left" ? -1 : 1;
    const y = Math.min(templateSize(template).breadth, Math.max(0, centreline(template, x) + side * width * 0.38));
    features.push({
      kind: "log-jam",
      x,
      y,
      length: width * 0.32,
      width: Math.max(1.5, width * 0.11),
      angle: side * 65,
      height: template.poolDepth + 1,
      name: "log jam",
    });
  }
  return features;
}
