"use client";
import { type ComponentProps, type ComponentType, lazy, type ReactNode, Suspense, useState } from "react";

/**
 * Parts that come when they are asked for: what a station shows at first stays small.
 * @param load fetches the component, by a literal import that the bundler sees
 * @param meanwhile stands in its place until it is there
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, meanwhile: ReactNode = null) {
  const Loaded = lazy(async () => ({ default: await load() })) as unknown as ComponentType<P>;
  return function Later(props: P) {
    return (
      <Suspense fallback={meanwhile}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}

/** A dialog that comes when it is first opened, and keeps what was typed in it from then on. */
export function laterDialog<P extends { open: boolean }>(load: () => Promise<ComponentType<P>>) {
  const Dialog = later(load);
  return function LaterDialog(props: ComponentProps<typeof Dialog>) {
    const [wanted, setWanted] = useState(props.open);
    if (props.open && !wanted) setWanted(true);
    return wanted ? <Dialog {...props} /> : null;
  };
}
