import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { outlookOf } from "../../core/gauge/outlook";
import { gaugeNow, type GaugeRecord, seriesOf } from "../../core/gauge/summary";
import { readGaugeCsv } from "../../core/formats/gauge-csv";
import { DEMO_HOUR } from "../../demo/hour";
import { gaugeCsv } from "../../standins/gauge";
import { blankWater } from "../../store/gauges";
import { RecessionPanel } from "./recession-panel";
import { NowFigures } from "./now-figures";
import { SkyPanel } from "./sky-panel";
import { bandWords, SpotsPanel } from "./spots-panel";
import { TableTwin } from "./table-twin";
import { WarmthPanel } from "./warmth-panel";

const DAY = 86_400_000;
const record: GaugeRecord = readGaugeCsv(gaugeCsv(DEMO_HOUR - 400 * DAY, DEMO_HOUR));
const now = gaugeNow(record, DEMO_HOUR);
const at = Date.parse(now.at);
const outlook = outlookOf(record, at);

test("the river now: figures by the record, in either system, each with where it comes from", async () => {
  const user = userEvent.setup();
  const { rerender } = render(<NowFigures now={now} gauge={record} outlook={outlook} stale={false} system="metric" />);
  const region = screen.getByRole("region", { name: "The river now" });
  expect(region).toHaveTextContent(`${now.discharge!.toFixed(1)}m³/s`);
  expect(region).toHaveTextContent("↘ falling");
  // Thirteen months of record are too little to say what is usual for the season; it says how much it takes.
  expect(now.seasonYears).toBe(2);
  expect(region).toHaveTextContent("2 of the 3 years of record");
  expect(region).not.toHaveTextContent(`${Math.round(now.exceedance! * 100)} %`);
  await user.click(screen.getByRole("button", { name: "Where “Clarity” comes from" }));
  expect(await screen.findByText(/by a rule of thumb; take three readings/)).toBeInTheDocument();
  rerender(<NowFigures now={{ ...now, seasonYears: 4 }} gauge={record} outlook={undefined} stale system="us" />);
  expect(region).toHaveTextContent(`${Math.round(now.exceedance! * 100)} %of the time`);
  expect(region).toHaveTextContent(`${Math.round(now.discharge! / 0.3048 ** 3)}cfs`);
});

test("figures that were worked out say from what, and that they are a guess beyond their pairs", () => {
  const derived = { by: "rating", from: "stage", pairs: 4, standardError: null, guessAbove: 1 } as const;
  render(
    <NowFigures
      now={now}
      gauge={{ ...record, derived: { discharge: derived } }}
      outlook={outlook}
      stale={false}
      system="metric"
    />,
  );
  expect(screen.getByText(/^a guess: far beyond the pairs it is from stage by your rating/)).toBeInTheDocument();
});

test("the days ahead: when it is down to a flow, and how far such forecasts are to be believed", async () => {
  const user = userEvent.setup();
  const { rerender } = render(<RecessionPanel outlook={outlook} skill={undefined} now={at} system="metric" />);
  expect(screen.getByText(/Testing the forecast on the last year/)).toBeInTheDocument();
  const field = screen.getByLabelText("Flow at or below");
  await user.clear(field);
  await user.type(field, "9000 m3/s");
  expect(screen.getByText("It is there now.")).toBeInTheDocument();
  await user.clear(field);
  await user.type(field, "0.01 m3/s");
  expect(screen.getByText(/^Not expected within five days/)).toBeInTheDocument();
  await user.clear(field);
  await user.type(field, "1,200");
  expect(screen.getByRole("alert")).toHaveTextContent(/could be/);
  const skill = [
    {
      hours: 24,
      medianError: 0.08,
      persistenceError: 0.2,
      yesterdayError: 0.15,
      lastWeekError: NaN,
      coverage80: 0.79,
      cases: 300,
      tenths: [1, 1, 1, 1, 1, 1, 1, 1, 1, 1],
    },
  ];
  rerender(<RecessionPanel outlook={outlook} skill={skill} now={at} system="metric" />);
  expect(screen.getByRole("row", { name: "24 h 8 % 15 %, yesterday 79 %" })).toBeInTheDocument();
  rerender(<RecessionPanel outlook={outlook} skill={[]} now={at} system="metric" />);
  expect(screen.getByText(/too short to test/)).toBeInTheDocument();
  rerender(<RecessionPanel outlook={{ ...outlook, flow: null }} skill={[]} now={at} system="metric" />);
  expect(screen.getByText(/^No forecast/)).toBeInTheDocument();
});

test("the chart as a table: a day's least and most as read, the days ahead as forecast, newest first", async () => {
  const user = userEvent.setup();
  const span = { from: at - 6 * DAY, to: at + 5 * DAY };
  render(<TableTwin gauge={record} outlook={outlook} span={span} now={at} system="metric" />);
  await user.click(screen.getByText("Show as a table"));
  const table = await screen.findByRole("table", { name: "The river’s record by day" });
  const rows = within(table).getAllByRole("row").slice(1);
  const forecast = rows.filter((row) => row.textContent!.includes("forecast"));
  expect(forecast.length).toBeGreaterThanOrEqual(4);
  expect(rows.indexOf(forecast.at(-1)!)).toBe(forecast.length - 1);
  // The day before, by the record itself.
  const day = Math.floor(at / DAY) * DAY - DAY;
  const discharge = seriesOf(record, "discharge")!;
  const own = Array.from(discharge.values).filter((_, k) => {
    const time = discharge.times[k]!;
    return time >= day && time < day + DAY;
  });
  const text = `${Math.min(...own).toFixed(1)} to ${Math.max(...own).toFixed(1)} m³/s`;
  expect(rows[forecast.length + 1]).toHaveTextContent(text);
});

test("light, moon and air pressure: times where the place is known, and what is missing said", async () => {
  const { rerender } = render(
    <SkyPanel
      place={{ latitude: 53.2, longitude: -7.4 }}
      barometer={{ pressure: 1013.2, tendency: -2, change: "plain" }}
      tide={[{ name: "M2", amplitude: 1.2, phase: 145 }]}
      now={at}
      system="metric"
    />,
  );
  expect(screen.getByRole("rowheader", { name: "Today" })).toBeInTheDocument();
  expect(
    screen.getByText(/^Air pressure: 1013 hPa \(29\.92 inHg\), falling \(−2\.0 hPa in three hours\)/),
  ).toBeInTheDocument();
  expect(await screen.findByText(/^Tide: (flooding|ebbing|slack)/)).toHaveTextContent(/(high|low) .*(high|low)/);
  rerender(<SkyPanel place={undefined} barometer={null} tide={[]} now={at} system="metric" />);
  expect(screen.getByText(/Add the gauge’s latitude and longitude/)).toBeInTheDocument();
  expect(screen.getByText("Air pressure: no data at this gauge.")).toBeInTheDocument();
  expect(screen.queryByText(/^Tide/)).toBeNull();
});

test("warmth by kind of fish, and the oxygen that the water can hold", () => {
  render(
    <WarmthPanel temperature={20} outlook={{ ...outlook, barometer: null }} altitude={0} now={at} system="metric" />,
  );
  // Benson & Krause 1980, fresh water at 20 C and one atmosphere: 9.09 mg/L (Standard Methods, table 4500-O:I).
  expect(screen.getByText("9.1")).toBeInTheDocument();
  expect(screen.getByText(/^trout and salmon:/)).toHaveTextContent("too warm");
  expect(screen.getByText(/^smallmouth:/)).toHaveTextContent("good");
});

describe("spots that fish well between two levels", () => {
  const water = {
    ...blankWater("s"),
    fullPool: 3,
    beachSlope: 0.1,
    bands: [
      { spot: "Eddy", measure: "discharge" as const, low: 4, high: 8 },
      { spot: "Bar", measure: "stage" as const, low: 2, high: null },
      { spot: "Point", measure: "belowFull" as const, low: null, high: 0.5 },
    ],
  };

  test("each is judged against the river now, and the bare shore is told", () => {
    const { rerender } = render(<SpotsPanel water={water} now={{ ...now, discharge: 6, stage: 1 }} system="metric" />);
    const judged = () => screen.getAllByRole("listitem").map((one) => one.lastChild!.textContent);
    expect(judged()).toEqual(["● fishes now", "○ too low", "○ too high"]);
    expect(screen.getByText(/^2\.00 m below full pool, with about 20\.\d m of beach bare/)).toBeInTheDocument();
    rerender(<SpotsPanel water={water} now={undefined} system="metric" />);
    expect(judged()).toEqual(["– not known", "– not known", "– not known"]);
  });

  test("bands in words, in either system", () => {
    expect(water.bands.map((band) => bandWords(band, "metric"))).toEqual([
      "4.0 to 8.0 m³/s",
      "stage from 2.00 m",
      "below full pool up to 0.50 m",
    ]);
    expect(bandWords(water.bands[0]!, "us")).toBe("141 to 283 cfs");
    expect(bandWords({ ...water.bands[0]!, low: null, high: null }, "us")).toBe("any level");
  });
});
