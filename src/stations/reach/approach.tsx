"use client";
import type { School, Stand } from "../../core/lies/stands";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";

const SCHOOLS: Record<School, { name: string; why: string }> = {
  "from-below": { name: "From below", why: "Fish look up-current: come from behind, cast upstream, and let it come down to them." },
  "from-above": { name: "From above", why: "Across and down: the current works the lure and holds it in front of the fish." },
};

/** Where to stand for the chosen lie, by school, and the order of the casts, in words. */
export function ApproachPanel({ lie, stands, school, onSchool, system }: { lie: number; stands: readonly Stand[]; school: School; onSchool: (school: School) => void; system: UnitSystem }) {
  const stand = stands.find((one) => one.school === school);
  return (
    <section aria-label={`Approach to lie ${lie}`} className="mt-5">
      <h2 className="mb-2 text-lg">Approach to lie {lie}</h2>
      <div role="group" aria-label="School" className="mb-2 flex gap-2">
        {(Object.keys(SCHOOLS) as School[]).map((one) => <button key={one} type="button" aria-pressed={one === school} onClick={() => onSchool(one)} className={`min-h-10 rounded-md border px-3 ${one === school ? "border-ink bg-ink text-paper" : "border-line hover:bg-deep"}`}>{SCHOOLS[one].name}</button>)}
      </div>
      <p className="text-sm text-soft">{SCHOOLS[school].why}</p>
      {!stand && <p className="mt-2">No place from which it can be reached this way: the water in range is too deep or too strong to stand in, or the banks too high.</p>}
      {stand && (
        <ul className="mt-2 grid gap-1">
          <li><strong>{stand.wadingDepth > 0 ? `Stand ${showText(stand.wadingDepth, "depth", system)} deep` : "Stand on the bank"}</strong>, {showText(stand.distance, "distance", system)} from the lie: {showText(stand.x, "distance", system)} down the reach, {showText(stand.y, "distance", system)} from its left edge.</li>
          <li>{stand.hidden ? `Outside its window: upright, you are out of its sight from ${showText(stand.hiddenFrom, "distance", system)} off${stand.distance < stand.hiddenFrom ? ", and nearer in water as coloured as this" : ""}.` : `It can see you there: keep ${showText(stand.hiddenFrom, "distance", system)} off, or crouch.`}</li>
          {stand.wadingDepth > 0 && <li>On the way depth × speed is {showText(stand.hazard, "unitDischarge", system)} at most{stand.hazard >= 0.6 ? ": strong water, only with a staff and a way out" : stand.hazard >= 0.3 ? ": with care" : ": easy"}.</li>}
          <li>Casts along the current: near, middle, far, the nearer fish first; then a step.</li>
          <li className="text-sm text-soft">Depth and speed are the model’s, and no promise of a safe wade.</li>
        </ul>
      )}
    </section>
  );
}

/** The stand, the way to it and the casts, on the plan. */
export function ApproachMarks({ stand, scale }: { stand: Stand; scale: number }) {
  const at = ([x, y]: readonly [number, number]) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`;
  const middle = stand.casts[1]!;
  return (
    <g aria-hidden fill="none">
      {stand.path.length > 1 && <path d={`M${stand.path.map(at).join("L")}`} stroke="var(--paper)" strokeWidth={4} strokeOpacity={0.6} strokeLinejoin="round" />}
      {stand.path.length > 1 && <path d={`M${stand.path.map(at).join("L")}`} stroke="var(--ink)" strokeWidth={2} strokeDasharray="1 5" strokeLinecap="round" strokeLinejoin="round" />}
      <path d={`M${at([stand.x, stand.y])}L${at([middle.x, middle.y])}`} stroke="var(--paper)" strokeWidth={1.4} strokeDasharray="8 5" />
      {stand.casts.map((cast, k) => <g key={cast.name} transform={`translate(${at([cast.x, cast.y]).replace(" ", ",")})`}><circle r={5 + 2 * k} stroke="var(--paper)" strokeWidth={3} strokeOpacity={0.6} /><circle r={5 + 2 * k} stroke="var(--ink)" strokeWidth={1.4} strokeDasharray={k === 0 ? undefined : "3 2"} /></g>)}
      <g transform={`translate(${at([stand.x, stand.y]).replace(" ", ",")})`}>
        <circle r={11} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
        {[[-3.4, 1.2, -8], [3.4, -1.2, 8]].map(([x, y, turn]) => <g key={x} transform={`translate(${x},${y}) rotate(${turn})`} fill="var(--ink)"><ellipse cy={-1.8} rx={2.2} ry={3.4} /><ellipse cy={4} rx={1.7} ry={1.7} /></g>)}
      </g>
    </g>
  );
}
