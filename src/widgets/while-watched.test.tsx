import { whileWatched } from "./while-watched";

let [frames, see]: [FrameRequestCallback[], (onScreen: boolean) => void] = [[], () => undefined];
const step = (now: number) => {
  jest.setSystemTime(now);
  jest.spyOn(performance, "now").mockReturnValue(now);
  const due = frames;
  frames = [];
  due.forEach((one) => one(now));
};

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(performance, "now").mockReturnValue(0);
  frames = [];
  jest.spyOn(window, "requestAnimationFrame").mockImplementation((one) => frames.push(one));
  jest.spyOn(window, "cancelAnimationFrame").mockImplementation(() => (frames = []) as never);
  window.IntersectionObserver = class {
    constructor(report: IntersectionObserverCallback) {
      see = (isIntersecting) => report([{ isIntersecting } as IntersectionObserverEntry], this as never);
    }
    observe = () => undefined;
    disconnect = () => undefined;
  } as never;
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

test("draws while it is watched; rests after a minute untouched, and wakes at a touch without a jump", () => {
  const drawn: number[] = [];
  const end = whileWatched(document.body, (seconds) => drawn.push(seconds));
  step(16);
  step(32);
  expect(drawn).toEqual([0.016, 0.016]);
  step(60_001);
  expect(frames).toEqual([]);
  step(90_000);
  expect(drawn).toHaveLength(2);
  jest.spyOn(performance, "now").mockReturnValue(100_000);
  window.dispatchEvent(new Event("pointermove"));
  step(100_020);
  expect(drawn.at(-1)).toBeCloseTo(0.02, 6);
  end();
  expect(frames).toEqual([]);
});

test("off the screen nothing is drawn; back on it, it goes on", () => {
  const draw = jest.fn();
  whileWatched(document.body, draw);
  step(16);
  see(false);
  step(32);
  step(48);
  expect(draw).toHaveBeenCalledTimes(1);
  see(true);
  step(64);
  expect(draw).toHaveBeenCalledTimes(2);
});
