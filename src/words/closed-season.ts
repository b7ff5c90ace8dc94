import { formatDate } from "./date-format";

/** A season that is closed, with its days. */
export const closedWords = (fish: string, open: { from: string; to: string }): string =>
  `${fish}: closed season here. Your rules say ${openSeasonWords(open)}.`;

/** "open from 15 March to 31 October": days of any year, "03-15", or of one, in the reader's own way. */
export function openSeasonWords({ from, to }: { from: string; to: string }): string {
  const day = (text: string) => {
    const [date, month, year] = text.split("-").map(Number).toReversed();
    const style = {
      day: "numeric",
      month: "long",
      timeZone: "UTC",
      ...(year && ({ year: "numeric" } as const)),
    } as const;
    return formatDate(Date.UTC(year ?? 2000, month! - 1, date), style);
  };
  return `open from ${day(from)} to ${day(to)}`;
}
