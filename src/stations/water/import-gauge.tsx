"use client";
import { GAUGE_FORMAT_NAMES } from "../../words/formats";
import { GAUGE_EXTENSIONS } from "../../core/formats/gauge-formats";
import { NotKept } from "../not-kept";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { z } from "zod";
import { nameOfFile } from "../../core/formats/file-name";
import type { LoneJump } from "../../core/gauge/lone-jumps";
import type { StationRecord } from "../../core/book/records";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { FileField } from "../../widgets/file-field";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { TextField } from "../../widgets/field";
import { LATITUDE, LONGITUDE, numberEntry, optional, textEntry } from "../../words/entry";
import { ImportAsked, type Said } from "./import-asked";
import { ImportFound } from "./import-found";
import { LoneJumps } from "./lone-jumps";
import { keepOpened, useGaugeImport } from "./use-gauge-import";

const NEW = "new";
const FORMATS = Object.values(GAUGE_FORMAT_NAMES).join(", ");

const schema = z.object({
  target: z.string(),
  name: textEntry(120),
  latitude: optional(numberEntry(LATITUDE)),
  longitude: optional(numberEntry(LONGITUDE)),
});

/** The zone of this device, for clock times without an offset. */
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Opens gauge files: read in a worker, shown with what was refused, kept only when the angler says so. */
export function ImportGauge({
  open,
  onOpenChange,
  stations,
  stay = false,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
  /** Stays where it was opened, instead of going to the gauge's record. */
  stay?: boolean;
}) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Open a gauge file"
      about={`${FORMATS}. Several files of one gauge at once. Nothing is saved until you confirm.`}
    >
      <Importing stations={stations} stay={stay} onDone={() => onOpenChange(false)} />
    </Dialog>
  );
}

function Importing({
  stations,
  stay,
  onDone,
}: {
  stations: readonly StationRecord[];
  stay: boolean;
  onDone: () => void;
}) {
  const router = useRouter();
  const set = useSettings((settings) => settings.set);
  const [zone, setZone] = useState(ownZone);
  const { busy, opened, fault, matching, asksDates, match, read } = useGaugeImport();
  const [without, setWithout] = useState<readonly LoneJump[]>([]);
  const form = useEntryForm(schema, { target: NEW, name: "", latitude: "", longitude: "" });
  const saving = useSave(onDone);
  const own = stations.filter((station) => !station.demo);
  const found = opened?.found;

  const take = async (files: readonly File[]) => {
    setWithout([]);
    settle(await read(files, zone));
  };
  /** What was read goes to the gauge that it is a record of, or is called as its file is. */
  const settle = ({ found: next, files }: { found: typeof found; files: readonly File[] }) => {
    if (!next) return;
    form.setValue("target", next.sameAs && own.some(({ id }) => id === next.sameAs) ? next.sameAs : NEW);
    if (!form.getValues("name")) form.setValue("name", next.summary.station.name || nameOfFile(files[0]!.name));
  };
  const reread = async (said: Said) =>
    settle(await read(opened!.files, zone, { match: opened!.options.columns, dates: opened!.options.dates, ...said }));
  const keep = form.handleSubmit(({ target, name, latitude, longitude }) =>
    saving.save(async () => {
      const station = target === NEW ? undefined : target;
      const to = { station, name: name || "My gauge", zone: found?.zone ?? zone, latitude, longitude };
      const id = await keepOpened(opened!, to, without);
      const { systemChosen } = useSettings.getState();
      // Who never chose units speaks those of the gauge.
      set({ station: id, ...(!systemChosen && { system: found?.customary ? "us" : "metric" }) });
      if (!stay) router.push("/water");
      return undefined;
    }, `${opened!.title} saved.`),
  );

  return (
    <div className="grid gap-4">
      <div className="grid gap-3 sm:grid-cols-2">
        <FileField
          label="File"
          multiple
          accept={GAUGE_EXTENSIONS.join(",")}
          disabled={busy}
          onFiles={(files) => act(() => take(files))}
        />
        <TextField
          label="Time zone for times without an offset"
          value={zone}
          onChange={(event) => setZone(event.target.value)}
          onBlur={() => found && zone !== opened.options.zone && act(() => reread({}))}
          hint="Such as Europe/Dublin or America/Chicago"
        />
      </div>
      {(busy || saving.busy) && <p role="status">{saving.busy ? "Keeping …" : "Reading …"}</p>}
      <ImportAsked
        opened={opened}
        fault={fault}
        matching={matching}
        asksDates={asksDates}
        busy={busy}
        onSay={(said) => act(() => reread(said))}
      />
      {found && (
        <form noValidate className="grid gap-4" onSubmit={(event) => act(() => keep(event))}>
          <ImportFound found={found} onMatch={(opened.columns?.length ?? 0) > 1 && !matching ? match : undefined} />
          <LoneJumps jumps={found.jumps} without={without} onWithout={setWithout} />
          {own.length > 0 && (
            <FormSelect
              form={form}
              name="target"
              label={found.sameAs ? "Add to gauge (matched by readings or name)" : "Add to gauge"}
              choices={[
                { value: NEW, label: "A new gauge" },
                ...own.map((station) => ({ value: station.id, label: station.name })),
              ]}
            />
          )}
          {form.watch("target") === NEW && (
            <div className="grid gap-3 sm:grid-cols-3">
              <FormField form={form} name="name" label="Gauge name" maxLength={120} />
              <FormField form={form} name="latitude" label="Latitude (for the light)" inputMode="decimal" />
              <FormField form={form} name="longitude" label="Longitude" inputMode="decimal" />
            </div>
          )}
          {saving.fault && <NotKept fault={saving.fault} />}
          <Button tone="next" type="submit" disabled={busy || saving.busy}>
            Save
          </Button>
        </form>
      )}
    </div>
  );
}
