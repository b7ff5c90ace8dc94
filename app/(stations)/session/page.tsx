import type { Metadata } from "next";
import { Session } from "@/stations/late";

export const metadata: Metadata = { title: "Session" };

export default function Page() {
  return <Session />;
}
