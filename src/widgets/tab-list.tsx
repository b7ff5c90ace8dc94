"use client";
import * as Tabs from "radix-ui/tabs";

/** The row of a station's tabs: it scrolls where it is too long. Values are names of ids: without spaces. */
export const TabList = ({
  label,
  tabs,
}: {
  label: string;
  tabs: readonly (readonly [value: string, name: string])[];
}) => (
  <Tabs.List aria-label={label} className="flex max-w-full overflow-x-auto border-b border-line">
    {tabs.map(([value, name]) => (
      <Tabs.Trigger
        key={value}
        value={value}
        className="min-h-12 shrink-0 border-b-4 border-transparent px-3 -outline-offset-4 data-[state=active]:border-ochre data-[state=active]:font-semibold"
      >
        {name}
      </Tabs.Trigger>
    ))}
  </Tabs.List>
);
