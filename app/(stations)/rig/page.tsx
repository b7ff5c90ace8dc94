import type { Metadata } from "next";
import { RigStation } from "@/stations/rig/station";

export const metadata: Metadata = { title: "Rig" };

export default function Page() {
  return <RigStation />;
}
