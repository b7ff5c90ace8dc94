import type { LineCounts } from "../core/formats/tally";
import type { Message } from "../core/quantity/message";
import type { UnitSystem } from "../words/quantity";
import { messageText } from "../words/messages";
import { count } from "../words/text";

/** Lines of them drawn at most; how many more there are is said. */
const MOST = 200;

/** What became of the lines of a file: read, gaps, and refused, each of those with its reason. */
export function Refused({
  rejected,
  lines,
  system,
}: {
  rejected: readonly { line: number; reason: Message; file?: string }[];
  lines: LineCounts;
  system: UnitSystem;
}) {
  const all = lines.read + lines.gaps + lines.rejected;
  const sum = `Of ${count(all, "data line")} ${lines.read} read, ${lines.gaps} without a reading, ${lines.rejected} rejected.`;
  if (rejected.length === 0) return <p className="text-soft">{sum}</p>;
  return (
    <details className="rounded-md border border-clay p-3" open={rejected.length <= 5}>
      <summary className="font-semibold">{sum}</summary>
      <ul className="mt-2 max-h-40 overflow-auto text-sm">
        {rejected.slice(0, MOST).map((one, k) => (
          <li key={k}>
            {one.file && `${one.file}, `}line {one.line}: {messageText(one.reason, system)}
          </li>
        ))}
      </ul>
      {rejected.length > MOST && <p className="text-sm text-soft">and {rejected.length - MOST} more</p>}
    </details>
  );
}
