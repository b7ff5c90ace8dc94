import { levelMarks, type LevelReading } from "../core/gauge/level-marks";
import { levelWords, markWords } from "./level-marks";

const read = (k: number, level: number, discharge: number | null): LevelReading => ({
  at: k,
  mark: "staff",
  level,
  discharge,
});
const told = (...readings: LevelReading[]) => markWords(levelMarks(readings)[0]!, "metric");

test.each([
  [0.12, "water 12 cm over “staff”"],
  [0.002, "“staff” just covered"],
  [-0.05, "“staff” 5 cm out of the water"],
])("%d m: %s", (level, text) => {
  expect(levelWords({ level, mark: "staff" }, "metric")).toBe(text);
});

test("what a mark lacks, or what its last level means", () => {
  expect(told(read(0, 0, 3))).toBe("“staff”: 1 level, 1 with a flow. 2 more flows at other levels make it a gauge.");
  expect(told(read(0, 0, 3), read(1, 0, 3), read(2, 0, 3))).toMatch(/They make no rating/);
  const four = [-0.2, 0, 0.15, 0.3].map((level, k) => read(k, level, 8 * (level + 0.4) ** 1.5));
  expect(told(...four, read(9, 0.1, null))).toMatch(
    /^“staff”: 5 levels, 4 with a flow\. The last level means 2\.8 m³\/s \(80 %: 2\.8 m³\/s to 2\.8 m³\/s\)\.$/,
  );
  expect(told(...four, read(9, 1.5, null))).toMatch(
    /far above those with a flow: about 21 m³\/s, a guess|far above .* a guess/,
  );
});
