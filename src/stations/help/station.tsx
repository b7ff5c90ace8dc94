"use client";
import Link from "next/link";
import { useState } from "react";
import { Panel } from "../../widgets/panel";
import { TextField } from "../../widgets/field";
import { MODELS, TERMS } from "../../words/glossary";

/** Help: how to begin, the trade's words, and what the models know and do not know. */
export function HelpStation() {
  const [wanted, setWanted] = useState("");
  const needle = wanted.trim().toLowerCase();
  const found = TERMS.filter((term) => term.some((text) => text.toLowerCase().includes(needle)));
  return (
    <div className="mx-auto max-w-4xl">
      <h1 className="text-2xl">Help</h1>
      <Panel title="How a day goes" className="mt-4">
        <ol className="grid list-decimal gap-1 pl-6">
          <Place to="/today" name="Today">
            where to go, when and why; with an empty log, the first two steps
          </Place>
          <Place to="/water" name="Water">
            what the river is doing and will do; your own readings
          </Place>
          <Place to="/reach" name="Reach">
            the reach at any flow: seams, lies, wading, where to stand; edit its bed
          </Place>
          <Place to="/rig" name="Rig">
            how deep, how heavy, what to tie on, and whether it gets there
          </Place>
          <Place to="/session" name="Session">
            on the bank: casts, the next change, a fish in two taps; works offline
          </Place>
          <Place to="/log" name="Log">
            everything you logged: edit, import, export, back up
          </Place>
          <Place to="/learn" name="Learn">
            what your hours show, how sure that is, and drills
          </Place>
        </ol>
      </Panel>
      <Panel title="What each model knows and doesn’t know" className="mt-6">
        <dl className="grid gap-3">
          {MODELS.map(({ name, knows, unknown }) => (
            <div key={name}>
              <dt className="font-semibold">{name}</dt>
              <dd>{knows}</dd>
              <dd className="text-soft">Doesn’t know: {unknown}</dd>
            </div>
          ))}
        </dl>
      </Panel>
      <Panel title="Glossary" className="mt-6">
        <TextField
          label="Search"
          value={wanted}
          maxLength={40}
          onChange={(event) => setWanted(event.target.value)}
          className="mb-3 max-w-xs"
        />
        <dl className="grid grid-cols-1 gap-x-6 gap-y-2 sm:grid-cols-[13rem_1fr]">
          {found.map(([term, meaning]) => (
            <div key={term} className="contents">
              <dt className="font-semibold">{term}</dt>
              <dd className="text-soft">{meaning}</dd>
            </div>
          ))}
        </dl>
        {found.length === 0 && <p className="text-soft">No term contains “{wanted}”.</p>}
      </Panel>
    </div>
  );
}

const Place = ({ to, name, children }: { to: string; name: string; children: string }) => (
  <li>
    <Link href={to} className="font-semibold underline">
      {name}
    </Link>
    : {children}.
  </li>
);
