import { finish, telling } from "./steps";

function work(log: string[]) {
  return (function* () {
    try {
      yield 1;
      yield 2;
      return "done";
    } finally {
      log.push("let go");
    }
  })();
}

test("work is run to its end, each step heard of", () => {
  const log: string[] = [];
  expect(finish(work(log), (step) => log.push(String(step)))).toBe("done");
  expect(log).toEqual(["1", "2", "let go"]);
  expect(finish(work([]))).toBe("done");
});

test("told otherwise it gives the same result; ended early it lets go of what it holds", () => {
  expect([...telling(work([]), (step) => step * 10)]).toEqual([10, 20]);
  expect(finish(telling(work([]), String))).toBe("done");
  const log: string[] = [];
  const begun = telling(work(log), String);
  begun.next();
  begun.return("");
  expect(log).toEqual(["let go"]);
});
