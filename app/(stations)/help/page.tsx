import type { Metadata } from "next";
import { Help } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Help" };

export default function Page() {
  return <Help />;
}
