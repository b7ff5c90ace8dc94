import { messageText } from "../../words/messages";
import type { Message } from "../quantity/message";
import fc from "fast-check";
import { InputError } from "../quantity/fault";
import { previewCsv, readGaugeCsv } from "./gauge-csv";
import { readGaugeFile } from "./gauge-file";
import { looksLikeWaterML2, readGaugeWaterML2 } from "./gauge-waterml2";

const told = (rejected: readonly { line: number; reason: Message }[]) =>
  rejected.map(({ line, reason }) => ({ line, reason: messageText(reason) }));

/**
 * One observation as OGC 10-126r4 (WaterML 2.0 Part 1, examples of a measurement time series) lays it out. Values and
 * place are made up.
 */
const observation = (
  property: string,
  uom: string,
  points: string,
  feature = `<om:featureOfInterest xlink:href="http://example.invalid/site/MU-17" xlink:title="Made up weir"/>`,
) => `
<wml2:observationMember><om:OM_Observation gml:id="o">
  <om:observedProperty ${property}/>
  ${feature}
  <om:result><wml2:MeasurementTimeseries gml:id="t">
    <wml2:defaultPointMetadata><wml2:DefaultTVPMeasurementMetadata>${uom}<wml2:interpolationType xlink:href="http://www.opengis.net/def/waterml/2.0/interpolationType/Continuous"/></wml2:DefaultTVPMeasurementMetadata></wml2:defaultPointMetadata>
${points}
  </wml2:MeasurementTimeseries></om:result>
</om:OM_Observation></wml2:observationMember>`;
const point = (time: string, value: string) =>
  `    <wml2:point><wml2:MeasurementTVP><wml2:time>${time}</wml2:time>${value}</wml2:MeasurementTVP></wml2:point>`;
const value = (text: string | number) => `<wml2:value>${text}</wml2:value>`;
const collection = (...members: string[]) => `<?xml version="1.0" encoding="UTF-8"?>
<wml2:Collection xmlns:wml2="http://www.opengis.net/waterml/2.0" xmlns:om="http://www.opengis.net/om/2.0" xmlns:gml="http://www.opengis.net/gml/3.2" xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance">${members.join("")}
</wml2:Collection>`;

const FLOW = observation(
  `xlink:title="Discharge" xlink:href="http://example.invalid/code/00060"`,
  `<wml2:uom code="ft3/s"/>`,
  [
    point("2026-05-01T00:00:00.000-04:00", value(353)),
    point("2026-05-01T00:15:00-04:00", `<wml2:value xsi:nil="true" nilReason="missing"/>`),
    point(
      "2026-05-01T00:30:00-04:00",
      `${value("")}<wml2:metadata><wml2:TVPMeasurementMetadata><wml2:qualifier xlink:title="Ice"/></wml2:TVPMeasurementMetadata></wml2:metadata>`,
    ),
    point("2026-05-01T00:45:00-04:00", value("-4")),
    point("yesterday", value(12)),
    point("2026-05-01T01:15:00-04:00", value("360")),
  ].join("\n"),
);

test("WaterML 2.0: several series, units, offsets, nil values and qualifiers as gaps, bad points refused with their line", () => {
  const file = readGaugeFile(
    collection(
      FLOW,
      observation(
        `xlink:href="http://example.invalid/property/WaterCourseLevel"`,
        `<wml2:uom code="m"/>`,
        point("2026-05-01T04:00:00Z", value(1.25)),
      ),
      observation(
        `xlink:title="Water temperature"`,
        `<wml2:uom xlink:title="Cel"/>`,
        point("2026-05-01T04:00:00Z", value(9.5)),
      ),
      observation(`xlink:title="Chlorophyll"`, `<wml2:uom code="ug/L"/>`, point("2026-05-01T04:00:00Z", value(3))),
    ),
  );
  expect(file.station).toEqual({ id: "MU-17", name: "Made up weir" });
  expect(file.series.map((one) => one.parameter)).toEqual(["discharge", "stage", "waterTemperature"]);
  const [discharge, stage, temperature] = file.series;
  expect(Array.from(discharge!.times, (time) => new Date(time).toISOString().slice(11, 16))).toEqual([
    "04:00",
    "04:15",
    "04:30",
    "04:45",
    "05:15",
  ]);
  expect(discharge!.values[0]).toBeCloseTo(353 * 0.028316846592, 9);
  expect(Array.from(discharge!.values, Number.isNaN)).toEqual([false, true, true, true, false]);
  expect([stage!.values[0], temperature!.values[0]]).toEqual([1.25, 9.5]);
  expect(file.codes).toEqual({ missing: 1, Ice: 1 });
  expect(told(file.rejected)).toEqual([
    { line: 11, reason: "discharge -4 is negative" },
    { line: 12, reason: "“yesterday” is not an ISO 8601 time" },
  ]);
  expect(file.notes.map((note) => messageText(note))).toEqual([
    "Series “Chlorophyll” was skipped: Low Heron doesn’t know what it measures.",
  ]);
});

test("one observation alone, a monitoring point in place, other prefixes, and clock times in a stated zone", () => {
  const lone = `<om:OM_Observation xmlns:om="http://www.opengis.net/om/2.0" xmlns:w="http://www.opengis.net/waterml/2.0" xmlns:g="http://www.opengis.net/gml/3.2" xmlns:xlink="http://www.w3.org/1999/xlink"><om:observedProperty xlink:title="Gauge height"/><om:featureOfInterest><w:MonitoringPoint g:id="mp"><g:identifier codeSpace="x">77</g:identifier><g:name>Low ford</g:name></w:MonitoringPoint></om:featureOfInterest><om:result><w:MeasurementTimeseries><w:defaultPointMetadata><w:DefaultTVPMeasurementMetadata><w:uom code="[ft_i]"/></w:DefaultTVPMeasurementMetadata></w:defaultPointMetadata><w:point><w:MeasurementTVP><w:time>2026-07-01T12:00:00</w:time><w:value>2</w:value></w:MeasurementTVP></w:point></w:MeasurementTimeseries></om:result></om:OM_Observation>`;
  const file = readGaugeWaterML2(lone, { zone: "Europe/Dublin" });
  expect(file.station).toEqual({ id: "77", name: "Low ford" });
  expect(new Date(file.series[0]!.times[0]!).toISOString()).toBe("2026-07-01T11:00:00.000Z");
  expect(file.series[0]!.values[0]).toBeCloseTo(0.6096, 12);
  expect(readGaugeWaterML2(lone).notes.map((note) => messageText(note))).toEqual([
    "1 times have no time zone, so they were read as UTC. Set the zone if that’s wrong.",
  ]);
});

test.each([
  [
    "a document type, so that no entity is ever expanded",
    `<?xml version="1.0"?>\n<!DOCTYPE x [<!ENTITY a "b">]><x>&a;</x>`,
    "doctype",
    2,
  ],
  ["broken XML", collection(FLOW).replace("</wml2:time>", ""), "not-xml", undefined],
  ["XML of another kind", `<?xml version="1.0"?><gpx/>`, "not-waterml2", undefined],
  [
    "no data in it",
    collection(
      observation(`xlink:title="Chlorophyll"`, `<wml2:uom code="ug/L"/>`, point("2026-05-01T04:00:00Z", value(3))),
    ),
    "no-readings",
    undefined,
  ],
  [
    "a unit that does not measure it",
    collection(observation(`xlink:title="Discharge"`, `<wml2:uom code="m"/>`, point("2026-05-01T04:00:00Z", value(3)))),
    "no-readings",
    undefined,
  ],
])("refuses %s", (_, text, code, line) => {
  try {
    readGaugeFile(text);
    throw new Error("it was taken");
  } catch (error) {
    expect(error).toBeInstanceOf(InputError);
    expect((error as InputError).fault.code).toBe(code);
    if (line) expect((error as InputError).fault.line).toBe(line);
  }
});

test("properties: whatever is done to a file, it is read or refused, never thrown on; and every value kept stands in the file", () => {
  const text = collection(FLOW);
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: text.length - 1 }),
      fc.integer({ min: 1, max: 40 }),
      fc.string({ maxLength: 6 }),
      (at, cut, put) => {
        const damaged = text.slice(0, at) + put + text.slice(at + cut);
        try {
          const file = readGaugeFile(damaged);
          for (const series of file.series) {
            for (const kept of series.values) {
              if (Number.isNaN(kept) || !looksLikeWaterML2(damaged)) continue;
              const raw = [kept, kept / 0.028316846592, kept / 0.3048].map((candidate) =>
                Number(candidate.toPrecision(12)),
              );
              expect(damaged.match(/[\d.]+(e\d+)?/gi)!.some((number) => raw.includes(Number(number)))).toBe(true);
            }
          }
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
        }
      },
    ),
    { seed: 11, numRuns: 400 },
  );
});

test("columns matched by hand: what names do not tell is told, and the rest is left alone", () => {
  const text = "when measured;Durchfluss;Pegel cm;remark\n2026-05-01 10:00;4,5;31;ok\n2026-05-01 11:00;4,7;32;ok\n";
  expect(previewCsv(text)).toEqual([
    { name: "when measured", samples: ["2026-05-01 10:00", "2026-05-01 11:00"], match: { as: "leave" } },
    { name: "Durchfluss", samples: ["4,5", "4,7"], match: { as: "leave" } },
    { name: "Pegel cm", samples: ["31", "32"], match: { as: "leave", unit: "cm" } },
    { name: "remark", samples: ["ok", "ok"], match: { as: "leave" } },
  ]);
  const file = readGaugeCsv(text, {
    columns: [{ as: "time" }, { as: "discharge", unit: "m3/s" }, { as: "stage", unit: "cm" }, { as: "leave" }],
  });
  expect(file.series.map((one) => [one.parameter, one.values.at(-1)])).toEqual([
    ["discharge", 4.7],
    ["stage", 0.32],
  ]);
  // A decimal comma is read by the one parser.
  expect(told(file.rejected)).toEqual([]);
  expect(() => readGaugeCsv(text, { columns: [{ as: "time" }] })).toThrow("wrong-columns");
  expect(() =>
    readGaugeCsv(text, {
      columns: [{ as: "time" }, { as: "discharge", unit: "furlong" }, { as: "leave" }, { as: "leave" }],
    }),
  ).toThrow("unknown-unit");
  expect(() =>
    readGaugeCsv(text, {
      columns: [{ as: "leave" }, { as: "discharge", unit: "m3/s" }, { as: "leave" }, { as: "leave" }],
    }),
  ).toThrow("no-time-column");
});
