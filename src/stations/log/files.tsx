"use client";
import { useState } from "react";
import { fetched } from "../../core/quantity/fetched";
import { LARGEST_FILE } from "../../core/formats/largest-file";
import { InputError } from "../../core/quantity/fault";
import { asFault } from "../../core/quantity/answer";
import { act } from "../../state/act";
import { saveFile } from "../../state/files";
import { say } from "../../state/notices";
import { useSettings } from "../../state/settings";
import type { BookView } from "../../state/use-book";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { PickFile } from "../../widgets/file-field";
import { Select } from "../../widgets/select";
import { later } from "../../widgets/later";
import { csvUnits } from "../../words/csv-units";
import { faultText } from "../../words/messages";
import { count } from "../../words/text";

// The reader of files comes with the first file.
const ImportFish = later(() => import("./import-fish").then((one) => one.ImportFish));

/** Fish, effort and places out in open formats, and fish of a table in. */
export function Files({ book, river }: { book: BookView; river: River }) {
  const { system } = useSettings();
  const [which, setWhich] = useState<"own" | "si">("own");
  const units = csvUnits(system, which);
  const [opened, setOpened] = useState<{ name: string; text: string } | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const reachName = (id: string) => river.reaches.find((one) => one.id === id)?.reach.name ?? "";
  const catches = () =>
    act(async () => {
      const { writeCatches } = await fetched(import("../../core/formats/catches-csv"));
      saveFile("fish.csv", writeCatches(book.catches, book.sessions, reachName, units), "text/csv");
    });
  const effort = () =>
    act(async () => {
      const { writeEffort } = await fetched(import("../../core/formats/catches-csv"));
      saveFile("hours.csv", writeEffort(book.sessions, book.stretches, reachName, river.minute, units), "text/csv");
    });
  const spots = (kind: "gpx" | "geojson") =>
    act(async () => {
      const { spotsOf, writeGeoJson, writeGpx } = await fetched(import("../../core/formats/spots-out"));
      const observations = await database().observations.toArray();
      const found = spotsOf(book.catches, observations, book.sessions, river.reaches);
      if (found.spots.length === 0)
        return say("No fish or mark has coordinates. Set the reach’s position and direction, or connect a sounder.");
      if (kind === "gpx") saveFile("places.gpx", writeGpx(found.spots), "application/gpx+xml");
      else saveFile("places.geojson", writeGeoJson(found.spots), "application/geo+json");
      if (found.placeless > 0) say(`${count(found.placeless, "fish", "fish")} without coordinates aren’t in the file.`);
    });
  const open = async (file: File) => {
    setFault(undefined);
    try {
      if (file.size > LARGEST_FILE)
        throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file: file.name });
      setOpened({ name: file.name, text: await file.text() });
    } catch (error) {
      setFault(faultText(asFault(error), system));
    }
  };
  return (
    <section aria-label="Files" className="mt-8 border-t border-line pt-4">
      <h2 className="mb-2 text-xl">Import and export</h2>
      <div className="flex flex-wrap items-end gap-2">
        <Select
          label="Units of the files"
          className="w-48"
          value={which}
          onChange={(value) => setWhich(value === "si" ? "si" : "own")}
          choices={[
            { value: "own", label: system === "us" ? "inches, pounds, cfs" : "cm, kg, m³/s" },
            { value: "si", label: "SI (m, kg, m³/s)" },
          ]}
        />
        <Button onClick={catches}>Export fish (CSV)</Button>
        <Button onClick={effort}>Export hours (CSV)</Button>
        <Button onClick={() => spots("gpx")}>Export spots (GPX)</Button>
        <Button onClick={() => spots("geojson")}>Export spots (GeoJSON)</Button>
        <PickFile label="Fish file (CSV)" accept=".csv,.txt,text/csv" onFile={(file) => act(() => open(file))}>
          Import fish (CSV)
        </PickFile>
      </div>
      {fault && <FaultNote message={fault} todo="Nothing changed." />}
      {opened && (
        <ImportFish
          key={opened.name}
          {...opened}
          river={river}
          known={book.catches}

          onDone={() => setOpened(undefined)}
        />
      )}
    </section>
  );
}
