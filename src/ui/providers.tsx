"use client";
import { ThemeProvider } from "next-themes";
import { createContext, type ReactNode, useContext } from "react";
import { Toasts } from "./toasts";

const DemoWanted = createContext(false);
/** Was the application started by the demo command? */
export const useDemoWanted = (): boolean => useContext(DemoWanted);

export function Providers({
  nonce,
  demoWanted,
  children,
}: {
  nonce: string | undefined;
  demoWanted: boolean;
  children: ReactNode;
}) {
  return (
    <ThemeProvider
      attribute="data-theme"
      themes={["day", "dusk", "glare"]}
      defaultTheme="day"
      enableSystem={false}
      nonce={nonce}
      disableTransitionOnChange
    >
      <DemoWanted value={demoWanted}>{children}</DemoWanted>
      <Toasts />
    </ThemeProvider>
  );
}
