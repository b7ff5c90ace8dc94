import type { Metadata } from "next";
import { Session } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Session" };

export default function Page() {
  return <Session />;
}
