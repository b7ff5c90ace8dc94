"use client";
import { CircleQuestionMark, Keyboard } from "lucide-react";
import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import { act } from "../state/act";
import { saveBook } from "../state/save-book";
import { remindOfCopy } from "../state/keeping";
import { useServiceWorker } from "../state/offline";
import { useDemoWanted } from "../state/providers";
import { followOtherTabs, useSettings } from "../state/settings";
import { adoptOldSettings } from "../state/adopt-settings";
import { warmValidation } from "../store/validation";
import { useHeadingFocus } from "../widgets/heading-focus";
import { FaultBoundary } from "../widgets/fault-boundary";
import { keepUp } from "../state/keep-up";
import { undoLast } from "../state/notices";
import { useRiver } from "../state/use-river";
import { setClockZone } from "../words/clock-zone";
import { STATIONS } from "./list";
import { BookGate } from "./book-gate";
import { MemoryBanner } from "./memory-banner";
import { NewerBanner } from "./newer-banner";
import { RiverStrip } from "./river-strip";
import { later, laterDialog } from "../widgets/later";
import { useOneTap } from "../widgets/one-tap";

const KeysDialog = laterDialog(() => import("./keys-dialog").then((one) => one.KeysDialog));
const CautionBanners = later(() => import("./caution-banners").then((one) => one.CautionBanners));
const Welcome = later(() => import("./welcome/welcome").then((one) => one.Welcome));

/** First steps of one's own river, and help; everything else has nothing to show in an empty book. */
const SHOWN_EMPTY: readonly string[] = ["/today", "/reach/draw", "/reach/film", "/help"];

/** What letters are typed into: no shortcut there. A list goes to the entry that begins with them. */
const TYPED_INTO =
  "input, textarea, select, [role=dialog], [role=listbox], [role=combobox][aria-expanded=true], [role=option], [role=menu], [role=slider]";

/** Frame of every station: navigation, river strip, keys. */
export function Shell({ children }: { children: ReactNode }) {
  const path = usePathname();
  const router = useRouter();
  const [keysOpen, setKeysOpen] = useState(false);
  useOneTap();
  useEffect(followOtherTabs, []);
  useServiceWorker();

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      const undoes = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === "z";
      if (undoes && !target.closest(TYPED_INTO) && undoLast()) return event.preventDefault();
      if (event.metaKey || event.ctrlKey || event.altKey || target.closest(TYPED_INTO)) return;
      const station = STATIONS[Number(event.key) - 1];
      // A closed list that has the focus goes to the entry that begins with a letter.
      if (!station && target.closest("[role=combobox]")) return;
      if (station) router.push(station.path);
      else if (event.key === "u" || event.key === "U")
        useSettings.setState(({ system }) => ({ system: system === "metric" ? "us" : "metric", systemChosen: true }));
      else if (event.key === "l" || event.key === "L") router.push("/session?fish=1");
      else if (event.key === "?") setKeysOpen(true);
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [router]);

  return (
    <div className="min-h-dvh rail:pl-[92px] low:pl-[72px] print:p-0">
      <a
        href="#station"
        className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50 focus:bg-paper focus:p-3"
      >
        Skip to content
      </a>
      <nav
        aria-label="Stations"
        className="fixed inset-x-0 bottom-0 z-30 border-t border-line bg-paper pb-[env(safe-area-inset-bottom)] rail:inset-y-0 rail:right-auto rail:w-[92px] rail:overflow-y-auto rail:border-t-0 rail:border-r low:w-[72px] print:hidden"
      >
        <p className="hidden px-2 pt-4 pb-5 text-center leading-tight font-bold rail:block low:hidden">
          Low
          <br />
          Heron
        </p>
        <ul className="flex rail:flex-col">
          {STATIONS.map(({ path: to, name, icon: Icon }) => {
            const here = path.startsWith(to);
            return (
              <li key={to} className="min-w-0 flex-1 rail:flex-none">
                <Link
                  href={to}
                  aria-current={here ? "page" : undefined}
                  className={`flex min-h-14 flex-col items-center justify-center gap-1 border-t-4 text-[max(14px,min(0.875rem,4vw))] rail:min-h-[66px] rail:border-t-0 rail:border-l-4 low:min-h-[62px] ${here ? "border-ochre bg-deep font-bold" : "border-transparent text-soft hover:bg-deep"}`}
                >
                  <Icon size={24} strokeWidth={1.8} aria-hidden className="shrink-0" />
                  {name}
                </Link>
              </li>
            );
          })}
        </ul>
        <button
          type="button"
          onClick={() => setKeysOpen(true)}
          className="mx-auto mt-4 hidden min-h-11 flex-col items-center rounded-md text-sm text-soft hover:bg-deep rail:flex low:hidden"
        >
          <Keyboard size={18} aria-hidden />
          Shortcuts
        </button>
        <Link
          href="/help"
          className="mx-auto hidden min-h-11 w-fit items-center gap-1 rounded-md px-2 text-sm text-soft hover:bg-deep rail:flex low:hidden"
        >
          <CircleQuestionMark size={18} aria-hidden />
          Help
        </Link>
      </nav>
      <BookGate>
        <Opened path={path}>{children}</Opened>
      </BookGate>
      <KeysDialog open={keysOpen} onOpenChange={setKeysOpen} />
    </div>
  );
}

/** The river strip and the station, once the book is open. */
function Opened({ path, children }: { path: string; children: ReactNode }) {
  const river = useRiver();
  const zone = river.station?.zone;
  setClockZone(zone);
  useEffect(() => {
    act(keepUp);
    act(adoptOldSettings);
    const timer = setInterval(() => act(keepUp), 15 * 60_000);
    // What a first write needs is fetched while the network is surely there, after all that is looked at.
    const ready = setTimeout(warmValidation, 3000);
    const remind = setTimeout(() => act(remindOfCopy), 5000);
    return () => {
      clearInterval(timer);
      clearTimeout(ready);
      clearTimeout(remind);
    };
  }, []);

  useHeadingFocus(path);
  const empty = river.reaches.length === 0 && river.stations.length === 0;
  // The demo river is on its way: the welcome brings it.
  const wanted = useDemoWanted();
  const removed = useSettings((settings) => settings.demoRemoved);
  const comes = wanted && !removed;
  return (
    <>
      <RiverStrip river={river} />
      <MemoryBanner />
      <NewerBanner />
      {river.ready && !empty && (
        <div className="px-4 pt-1.5 empty:hidden lg:px-6">
          <FaultBoundary key={path} name="Cautions" onSave={() => act(saveBook)}>
            <CautionBanners river={river} path={path} />
          </FaultBoundary>
        </div>
      )}
      <main id="station" tabIndex={-1} className="px-4 pt-2 pb-24 outline-none lg:px-6 rail:pb-8">
        {!river.ready ? (
          <p role="status" className="p-6 text-soft">
            Opening the log …
          </p>
        ) : empty && (comes || !SHOWN_EMPTY.includes(path)) ? (
          <Welcome />
        ) : (
          <FaultBoundary
            key={`${path} ${zone}`}
            name={STATIONS.find((one) => path.startsWith(one.path))?.name ?? "This page"}
            onSave={() => act(saveBook)}
          >
            {children}
          </FaultBoundary>
        )}
      </main>
    </>
  );
}
