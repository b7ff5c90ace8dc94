import type { Message } from "../core/quantity/message";
import type { UnitSystem } from "../words/quantity";
import { tell } from "../words/messages";
import { count } from "../words/text";

/** Lines of them drawn at most; how many more there are is said. */
const MOST = 200;

/** Lines of a file that were refused, each with its reason. */
export function Refused({
  rejected,
  system,
}: {
  rejected: readonly { line: number; reason: Message; file?: string }[];
  system: UnitSystem;
}) {
  if (rejected.length === 0) return null;
  return (
    <details className="rounded-md border border-clay p-3" open={rejected.length <= 5}>
      <summary className="font-semibold">{count(rejected.length, "line")} refused</summary>
      <ul className="mt-2 max-h-40 overflow-auto text-sm">
        {rejected.slice(0, MOST).map((one, k) => (
          <li key={k}>
            {one.file && `${one.file}, `}line {one.line}: {tell(one.reason, system)}
          </li>
        ))}
      </ul>
      {rejected.length > MOST && <p className="text-sm text-soft">and {rejected.length - MOST} more</p>}
    </details>
  );
}
