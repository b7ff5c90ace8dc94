import type { Metadata } from "next";
import { Log } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Log" };

export default function Page() {
  return <Log />;
}
