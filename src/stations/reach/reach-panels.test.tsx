import fc from "fast-check";
import "fake-indexeddb/auto";
import "@testing-library/jest-dom";
import { act, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Lie } from "../../core/fish/read";
import { speciesById } from "../../core/fish/species";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { message } from "../../core/quantity/message";
import { type Approach, USUAL_ANGLER } from "../../scenario/approach";
import { conditionsOf } from "../../scenario/conditions";
import { solveField } from "../../scenario/solve";
import { type Numbered, numberLies } from "../../scenario/lie-identity";
import { runScenario, type Scenario } from "../../scenario/scenario";
import type { Stage } from "../../state/query";
import type { FieldState } from "../../state/scenario/use-field";
import type { ScenarioView } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import type { Fish } from "../../state/use-fishes";
import { messageText } from "../../words/messages";
import { placeWords } from "../../words/place";
import { ApproachPanel } from "./approach";
import { FlowSlider } from "./flow-slider";
import { LieList } from "./lie-list";
import { SeasonLine } from "./season-line";
import { SectionAtLie } from "./section";
import { Status, WadingKey } from "./status";
import { TimePanel } from "./time-panel";
import { WaterWords } from "./water-words";

const reach: Reach = {
  schema: "low-heron/reach@1",
  id: "run",
  name: "Run",
  roughness: 0.035,
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 60,
    width: 14,
    poolDepth: 1.3,
    slope: 0.003,
    wiggle: 2,
    cell: 1,
  },
  downstream: { kind: "normal", slope: 0.003 },
  features: [{ kind: "boulder", id: "a", x: 26, y: 12, diameter: 2.5, height: 1.2, name: "old pulpit" }],
};
const species = speciesById("brown-trout");
const conditions = conditionsOf(undefined, undefined, undefined, { discharge: 5, light: "day" });
let field: Field;
let found: Scenario;
let lies: Numbered<Lie>[];
const scenarioOf = (leave: boolean) =>
  runScenario(field, { reach, conditions, species, season: "auto", angler: USUAL_ANGLER, tackle: {}, leave });

beforeAll(() => {
  const work = solveField({ reach, discharge: 5, cell: 1 });
  let step = work.next();
  while (!step.done) step = work.next();
  field = step.value;
  found = scenarioOf(false);
  lies = numberLies(found.reading.lies, []).lies;
}, 60_000);
beforeEach(() => useSettings.setState({ system: "metric", school: "from-below", fall: "jig", style: "rove" }));

const stage = <T,>(value: T | undefined, change: Partial<Stage<T>> = {}): Stage<T> => ({
  value,
  earlier: false,
  pending: false,
  fault: undefined,
  retry: () => undefined,
  ...change,
});

describe("the lies in words", () => {
  test("in order of rank, each with its own number, place, depth and speed; choosing one hands it over", async () => {
    expect(lies.length).toBeGreaterThan(2);
    const chosen: Lie[] = [];
    const robustness = { lies: lies.map((_, k) => ({ found: 10 - k, of: 10 })), seams: [], tied: lies.map(() => null) };
    render(
      <LieList
        lies={lies}
        chosen={lies[0]!.number}
        robustness={robustness}
        onChoose={(lie) => chosen.push(lie)}
        system="metric"
      />,
    );
    const rows = within(screen.getByRole("list", { name: "Lies in order of rank" })).getAllByRole("button");
    expect(rows).toHaveLength(lies.length);
    rows.forEach((row, k) => {
      const lie = lies[k]!;
      expect(row).toHaveTextContent(placeWords(lie.place));
      expect(row).toHaveTextContent(`${lie.depth.toFixed(2)} m deep`);
      expect(row).toHaveTextContent(`${lie.focalSpeed.toFixed(2)} m/s`);
      expect(row).toHaveTextContent(`holds in ${10 - k} of 10`);
      expect(row).toHaveAttribute("aria-pressed", String(k === 0));
    });
    await userEvent.setup().click(rows[2]!);
    expect(chosen).toEqual([lies[2]]);
  });

  test("the section across the river is named by the lie's number, whatever its rank", () => {
    render(<SectionAtLie field={field} lie={{ ...lies[0]!, number: 7 }} visibleDepth={1} system="us" />);
    expect(screen.getByRole("img", { name: /^Section across the river at lie 7: [\d.]+ ft deep/ })).toBeInTheDocument();
  });
});

describe("the water in words", () => {
  test("counts what the reading holds, and names the stone by its own name", async () => {
    const user = userEvent.setup();
    const { seams, eddies } = found.reading;
    render(
      <WaterWords reading={found.reading} system="metric" where={([x, y]) => `at ${x.toFixed(1)}, ${y.toFixed(1)}`} />,
    );
    const told = screen.getByText(/^The water in words:/);
    expect(told).toHaveTextContent(`${seams.length} seam`);
    expect(told).toHaveTextContent(eddies.length === 1 ? "1 eddy" : `${eddies.length} eddies`);
    // Places are told when it is opened, and not before.
    expect(screen.queryByText(/old pulpit/)).toBeNull();
    await user.click(told);
    expect(await screen.findByText(/old pulpit/)).toBeInTheDocument();
  });

  test("no seam is said, not left out", async () => {
    const user = userEvent.setup();
    render(<WaterWords reading={{ ...found.reading, seams: [], eddies: [] }} system="metric" where={() => ""} />);
    await user.click(screen.getByText(/0 seams, 0 eddies/));
    expect(await screen.findByText("No clear seam at this flow.")).toBeInTheDocument();
  });

  test("the wading key holds the areas of the reading", () => {
    render(<WadingKey reading={found.reading} />);
    const { safe, stayOut } = found.reading.wading;
    // Sums of cells, to two figures.
    const figures = (area: number) => Number(area.toPrecision(2)).toLocaleString("en-US");
    expect(screen.getByText(/^Clear: easy wading/)).toHaveTextContent(`${figures(safe)} m²`);
    expect(screen.getByText(/^Clear: easy wading/)).toHaveTextContent(`stay out, ${figures(stayOut)} m²`);
  });
});

describe("the approach", () => {
  const panel = (approach: Stage<Approach>) => (
    <ApproachPanel
      lie={1}
      wading={{ safe: 620, caution: 200, stayOut: 180 }}
      approach={approach}
      sunKnown={false}
      bearing={undefined}
      onBearing={() => undefined}
    />
  );

  test("says the stand of the chosen school, as it was found", async () => {
    const user = userEvent.setup();
    render(panel(stage(found.approach!)));
    for (const [name, school] of [
      ["From below", "from-below"],
      ["From above", "from-above"],
    ] as const) {
      await user.click(screen.getByRole("button", { name }));
      const stand = found.approach!.stands.find((one) => one.school === school)!;
      const words = stand.wadingDepth > 0 ? `Stand ${stand.wadingDepth.toFixed(2)} m deep` : "Stand on the bank";
      expect(screen.getByText(words)).toBeInTheDocument();
      expect(screen.getAllByText(/^(near|middle|far) on|^\d\.$/).length).toBeGreaterThan(0);
    }
    expect(found.approach!.stands.length).toBeGreaterThan(0);
  });

  test("no place to stand, to anchor or to wade is given while the river is to be left", async () => {
    const left = scenarioOf(true).approach!;
    expect(left).toMatchObject({ left: true, stands: [] });
    expect(left.boat).toBeFalsy();
    render(panel(stage(left)));
    expect(screen.getByText(/^▲ Leave the water now/)).toBeInTheDocument();
    expect(screen.queryByText(/^Stand /)).toBeNull();
    await userEvent.setup().click(screen.getByRole("button", { name: "From a boat" }));
    expect(screen.queryByText(/^Boat at/)).toBeNull();
    expect(screen.queryByText(/Casts, nearest fish first/)).toBeNull();
  });

  test("waiting and failing are told in its place", async () => {
    const retry = jest.fn();
    const { rerender } = render(panel(stage<Approach>(undefined, { pending: true })));
    expect(screen.getByRole("status")).toHaveTextContent("Looking for a place");
    rerender(panel(stage<Approach>(undefined, { fault: message("worker-lost"), retry })));
    expect(screen.getByRole("alert")).toHaveTextContent(messageText(message("worker-lost")));
    await userEvent.setup().click(screen.getByRole("button", { name: "Retry" }));
    expect(retry).toHaveBeenCalledTimes(1);
  });

  test("the time for it, by the angler's style", async () => {
    const { timing } = found.approach!;
    render(<TimePanel lie={3} timing={timing} />);
    const region = screen.getByRole("region", { name: "Time for lie 3" });
    expect(region).toHaveTextContent(`${timing.minutes} minutes, ${timing.casts} cast`);
    await userEvent.setup().click(within(region).getByRole("button", { name: "I wait" }));
    expect(useSettings.getState().style).toBe("wait");
  });
});

describe("what is being shown", () => {
  const state = (change: Partial<FieldState>): FieldState => ({
    shown: { key: "k", field, origin: "solved" },
    settled: true,
    expected: undefined,
    progress: undefined,
    fault: undefined,
    cancelled: false,
    solved: [],
    cancel: () => undefined,
    retry: () => undefined,
    ...change,
  });
  const view = (fieldState: FieldState, change: Partial<ScenarioView> = {}) =>
    ({
      field: fieldState,
      reading: stage({ of: { field } }),
      river: {},
      isNow: false,
      conditions,
      strayed: false,
      ...change,
    }) as unknown as ScenarioView;

  test("a settled field says so; one of the bed before, or of a flow near by, says that", () => {
    const { rerender } = render(<Status view={view(state({}))} />);
    expect(screen.getByText(/^Steady/)).toBeInTheDocument();
    rerender(<Status view={view(state({ shown: { key: "k", field, origin: "earlier-bed" }, settled: false }))} />);
    expect(screen.getByText("Showing the flow before your edit.")).toBeInTheDocument();
    rerender(<Status view={view(state({ shown: { key: "k", field, origin: "nearest" }, settled: false }))} />);
    expect(screen.getByText("Showing 5.0 m³/s, the nearest flow worked out.")).toBeInTheDocument();
  });

  test("an earlier reading is said to be that while the newer one is on its way", () => {
    const reading = stage({ of: { field } }, { earlier: true, pending: true });
    render(
      <Status view={view(state({}), { reading: reading as never, conditions: { ...conditions, discharge: 9 } })} />,
    );
    expect(screen.getByText("Seams and lies are still for 5.0 m³/s.")).toBeInTheDocument();
  });

  test("water that is unaccounted for is told; a lie that is none here any more, too", () => {
    render(
      <Status
        view={view(state({ shown: { key: "k", field: { ...field, massError: 0.021 }, origin: "solved" } }), {
          strayed: true,
        })}
      />,
    );
    expect(screen.getByText(/2\.1 % of the water is unaccounted for/)).toBeInTheDocument();
    expect(screen.getByText(/Your lie doesn’t hold fish at this flow/)).toBeInTheDocument();
  });

  test("solving shows how far it is and can be stopped; stopped, it can be taken up again", async () => {
    const user = userEvent.setup();
    const [cancel, retry] = [jest.fn(), jest.fn()];
    const { rerender } = render(<Status view={view(state({ settled: false, progress: 0.4, cancel }))} />);
    expect(screen.getByRole("progressbar", { name: "Solving" })).toHaveAttribute("value", "0.4");
    await user.click(screen.getByRole("button", { name: "Stop" }));
    expect(cancel).toHaveBeenCalledTimes(1);
    rerender(<Status view={view(state({ settled: false, cancelled: true, retry }))} />);
    await user.click(screen.getByRole("button", { name: /^Stopped\. Solve 5\.0 m³\/s/ }));
    expect(retry).toHaveBeenCalledTimes(1);
  });

  test("a fault stands where the picture would, with its place in the reach", () => {
    const fault = { ...message("no-outlet"), path: "features[0]" };
    const { rerender } = render(<Status view={view(state({ fault }))} />);
    expect(screen.getByRole("alert")).toHaveTextContent("Check features[0] of the reach");
    // A part that broke down is no fault of the reach or the flow.
    rerender(<Status view={view(state({ fault: message("worker-lost") }))} />);
    expect(screen.getByRole("alert")).toHaveTextContent("Retry");
    expect(screen.getByRole("alert")).not.toHaveTextContent("another flow");
  });
});

describe("the time of the fish's year", () => {
  const fish = { id: species.id, base: species.id, name: "Brown trout", species, profile: undefined } as Fish;

  test("fish on their nests are not shown by default, and asked for only so as to keep off", () => {
    const spawning = species.seasons!.find((one) => one.phase === "spawn")!;
    useSettings.setState({ season: "auto" });
    const { rerender } = render(<SeasonLine fish={fish} way={spawning} temperature={8} system="metric" />);
    expect(screen.getByText(/The list shows fish that/)).toBeInTheDocument();
    act(() => {
      useSettings.setState({ season: "spawn" });
    });
    rerender(<SeasonLine fish={fish} way={spawning} temperature={8} system="metric" />);
    expect(screen.getByText(/so you can keep off/)).toBeInTheDocument();
  });

  test("where no place has the water that the season seeks, that is said, over 300 random sets of lies", () => {
    const winter = speciesById("smallmouth-bass").seasons!.find((one) => one.phase === "winter")!;
    const fish = {
      id: "smallmouth-bass",
      base: "smallmouth-bass",
      name: "Smallmouth",
      species: speciesById("smallmouth-bass"),
    };
    const figure = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.record({ depth: figure(4), focalSpeed: figure(1) }), { minLength: 1, maxLength: 7 }),
        (lies) => {
          const { container, unmount } = render(
            <SeasonLine fish={fish as never} way={winter} temperature={3} system="metric" lies={lies} />,
          );
          // Wintering holes: deeper than a fish's deepest quarter of liking, and all but still.
          const holes = lies.some(({ depth, focalSpeed }) => depth >= 1.6 && focalSpeed <= 0.2);
          const pool = lies.some(({ depth, focalSpeed }) => depth > 1.4 && focalSpeed < 0.25);
          const told = /This reach has no such water now/.test(container.textContent!);
          unmount();
          expect(told && holes).toBe(false);
          expect(!told && !pool).toBe(false);
        },
      ),
      { numRuns: 300 },
    );
  });

  test("water too warm to play it is told in its own words and units", () => {
    render(<SeasonLine fish={fish} way={undefined} temperature={21} system="us" />);
    expect(screen.getByText(/The water is 70 °F: too warm for this fish/)).toBeInTheDocument();
  });
});

describe("the flow", () => {
  test("can be typed in any unit; what cannot be looked at says why, and nothing changes", async () => {
    const user = userEvent.setup();
    const onChange = jest.fn();
    render(
      <FlowSlider
        flow={5}
        scale={{ range: [0.5, 40], band: null }}
        solved={[]}
        precomputed={[]}
        now={5}
        system="us"
        onChange={onChange}
        onNow={() => undefined}
      />,
    );
    const field = screen.getByRole("textbox", { name: "Flow to show" });
    const type = async (text: string) => {
      await user.clear(field);
      await user.type(field, `${text}{Enter}`);
    };
    await type("300");
    expect(onChange).toHaveBeenLastCalledWith(expect.closeTo(300 * 0.3048 ** 3, 9));
    await type("4 m3/s");
    expect(onChange).toHaveBeenLastCalledWith(4);
    for (const [text, said] of [
      ["9000", /^From .* to .* cfs\.$/],
      ["plenty", /doesn’t start with a number/],
    ] as const) {
      await type(text);
      expect(screen.getByRole("alert")).toHaveTextContent(said);
    }
    expect(onChange).toHaveBeenCalledTimes(2);
  });
});
