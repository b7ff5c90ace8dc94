import type { RigAdvice } from "../../core/rig/advice";
import { figureText, showText, type UnitSystem } from "../../words/quantity";

/** Leader, line, drag and rod in one line. */
export function leaderWords(advice: RigAdvice, system: UnitSystem): string {
  const { leader, main, drag, rod } = advice.line;
  const length = "leader" in advice && advice.leader > 0 ? `${showText(advice.leader, "depth", system)} ` : "";
  const test = (kg: number) => showText(kg, "lineTest", system);
  const thick = `${figureText(leader.diameter * 1000, 2)} mm`;
  return `Leader ${length}${leader.material}, ${test(leader.test)} (${thick}); main ${main.material}, ${test(main.test)}; drag ${test(drag)}; rod ${showText(rod, "depth", system)}.`;
}
