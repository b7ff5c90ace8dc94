import type { Metadata } from "next";
import { LogStation } from "@/stations/log/station";

export const metadata: Metadata = { title: "Log" };

export default function Page() {
  return <LogStation />;
}
