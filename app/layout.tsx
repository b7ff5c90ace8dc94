import type { Metadata, Viewport } from "next";
import localFont from "next/font/local";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Providers } from "../src/state/providers";
import "./globals.css";

const body = localFont({
  src: "../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2",
  variable: "--font-body",
  weight: "200 800",
  display: "swap",
});

export const metadata: Metadata = {
  title: { default: "Low Heron", template: "%s · Low Heron" },
  description: "Where the seams are at today's flow, what to fish there, and what your log shows.",
  icons: { icon: "/favicon.svg" },
  manifest: "/manifest.webmanifest",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, viewportFit: "cover" };

export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en" className={body.variable} suppressHydrationWarning>
      <body>
        <Providers nonce={nonce} demoWanted={process.env.LOW_HERON_DEMO === "1"}>
          {children}
        </Providers>
      </body>
    </html>
  );
}
