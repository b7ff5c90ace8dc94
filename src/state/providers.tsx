"use client";
import { QueryClientProvider } from "@tanstack/react-query";
import { ThemeProvider } from "next-themes";
import { createContext, type ReactNode, useContext, useState } from "react";
// Faults and their words belong to every page: here they are loaded once, and not by each frame and error page anew.
import "./act";
import "./save-book";
import { Toasts } from "./toasts";
import { newQueryClient } from "./query";

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
  const [client] = useState(newQueryClient);
  return (
    <ThemeProvider
      attribute="data-theme"
      themes={["day", "dusk", "glare"]}
      defaultTheme="day"
      enableSystem={false}
      nonce={nonce}
      disableTransitionOnChange
    >
      <QueryClientProvider client={client}>
        <DemoWanted value={demoWanted}>{children}</DemoWanted>
        <Toasts />
      </QueryClientProvider>
    </ThemeProvider>
  );
}
