import type { Metadata } from "next";
import { Reach } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Reach" };

export default function Page() {
  return <Reach />;
}
