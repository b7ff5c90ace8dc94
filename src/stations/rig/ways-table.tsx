"use client";
import type { NoWay, Way } from "../../core/rig/ways";
import { useSettings } from "../../state/settings";
import { snagWords } from "../../words/cast";
import { methodName, methodWords, setWords, wayName } from "../../words/methods";
import { messageText } from "../../words/messages";
import { figureText } from "../../words/quantity";

/** Every way to fish the lie, by the seconds that it keeps the bait near the fish. Pressing one takes it. */
export function WaysTable({ ways, without, chosen }: { ways: readonly Way[]; without: readonly NoWay[]; chosen: Way }) {
  const { system, set } = useSettings();
  const most = Math.max(...ways.map(({ cast }) => cast.seconds), 0.1);
  return (
    <section aria-label="Methods for this lie">
      <h2 className="mb-1 text-lg">Methods for this lie</h2>
      <table className="w-full text-left" data-testid="ways">
        <thead>
          <tr className="border-b-2 border-ink text-sm text-soft">
            <th scope="col" className="py-1.5 pr-3 font-normal">
              Method
            </th>
            <th scope="col" className="hidden py-1.5 pr-3 font-normal sm:table-cell">
              Set-up
            </th>
            <th scope="col" className="py-1.5 pr-3 font-normal">
              Seconds near the fish per cast
            </th>
            <th scope="col" className="py-1.5 font-normal">
              Bottom contact, snags
            </th>
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => {
            const own = way === chosen;
            return (
              <tr
                key={`${way.method}${way.school}`}
                className={`border-b border-line ${own ? "bg-ochre-soft" : ""}`}
                aria-current={own ? "true" : undefined}
              >
                <th scope="row" className="pr-3 font-semibold">
                  <button
                    type="button"
                    aria-pressed={own}
                    className="min-h-11 w-full px-2 text-left underline decoration-1 underline-offset-4"
                    onClick={() => set({ method: way.method, ...(way.method === "spinner" && { school: way.school }) })}
                  >
                    {wayName(way)}
                  </button>
                </th>
                <td className="hidden pr-3 sm:table-cell">{setWords(way, system)}</td>
                <td className="pr-3">
                  <span className="flex items-center gap-2">
                    <span
                      aria-hidden
                      className="inline-block h-2.5 bg-reed"
                      style={{ width: `${(55 * way.cast.seconds) / most}%` }}
                    />
                    {figureText(way.cast.seconds, 1)}
                  </span>
                </td>
                <td className="py-1 text-[15px] leading-tight">
                  {touchWords(way)} · {snagWords(way.snags)}
                  <span className="block text-sm text-soft">
                    {methodWords(way.advice).hand(way.advice, way.cast, way.school).short}
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        Drifts through the flow now, each from its best cast. The order holds with speeds a fifth slower or faster.
        Snags: rule of thumb.
      </p>
      {without.length > 0 && (
        <ul className="mt-1 text-sm text-soft">
          {without.map(({ method, why }) => (
            <li key={method}>
              {methodName(method)}: {messageText(why, system)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Share of the whole drift on the bottom, with its way down: less than once it is down. */
const touchWords = ({ touch }: Way): string =>
  touch < 0.01 ? "never" : `${figureText(100 * touch, 0)} % of the drift`;
