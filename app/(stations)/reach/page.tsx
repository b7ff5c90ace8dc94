import type { Metadata } from "next";
import { ReachStation } from "@/stations/reach/station";

export const metadata: Metadata = { title: "Reach" };

export default function Page() {
  return <ReachStation />;
}
