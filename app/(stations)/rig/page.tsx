import type { Metadata } from "next";
import { Rig } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Rig" };

export default function Page() {
  return <Rig />;
}
