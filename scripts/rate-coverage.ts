/**
 * How often the 80 % intervals of made-up seasons hold the truth, from no bunching of fish to strong: the table of
 * docs/rates.md. `node --import tsx scripts/rate-coverage.ts [SEASONS]`
 */
import { coverage } from "../src/testing/made-season";
import { POISSON_ALONE, posteriorOf, intervalOf, JEFFREYS, type Bout } from "../src/core/book/overdispersion";
import { ratesOf } from "../src/core/book/rates";
import { stream } from "../src/core/quantity/seeded";

const seasons = Number(process.argv[2] ?? 1000);

/** What intervals are that take fish for independent: Poisson, as many tools have them. */
const poissonOnly = (groups: Bout[][]) =>
  groups.map((bouts) =>
    bouts.length === 0 ? null : { interval: intervalOf(posteriorOf(bouts, JEFFREYS, POISSON_ALONE), 0.8) },
  );

const share = (value: number): string => `${(100 * value).toFixed(1)} %`;
process.stdout.write("| dispersion | 20 sessions | 40 sessions | 80 sessions | 40 sessions, Poisson alone |\n");
process.stdout.write("| ---: | ---: | ---: | ---: | ---: |\n");
for (const dispersion of [0, 0.25, 0.5, 1, 2]) {
  const own = [20, 40, 80].map((sessions) => share(coverage(seasons, sessions, dispersion, stream(11), ratesOf)));
  const plain = share(coverage(seasons, 40, dispersion, stream(11), poissonOnly));
  process.stdout.write(`| ${dispersion} | ${own.join(" | ")} | ${plain} |\n`);
}
