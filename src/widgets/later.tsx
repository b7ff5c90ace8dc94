"use client";
import { type ComponentProps, type ComponentType, lazy, type ReactNode, Suspense, useState } from "react";
import { fetched } from "../core/quantity/fetched";

/**
 * Parts that come when they are asked for: what a station shows at first stays small.
 * @param load fetches the component, by a literal import that the bundler sees
 * @param meanwhile stands in its place until it is there
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, meanwhile: ReactNode = null) {
  // One that could not be fetched is asked for anew when it is next drawn: React keeps a failure for ever.
  const asked = () =>
    lazy(() =>
      fetched(load()).then(
        (part) => ({ default: part }),
        (error: unknown) => {
          Part = asked();
          throw error;
        },
      ),
    ) as unknown as ComponentType<P>;
  let Part = asked();
  return function Later(props: P) {
    const Now = Part;
    return (
      <Suspense fallback={meanwhile}>
        <Now {...props} />
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
