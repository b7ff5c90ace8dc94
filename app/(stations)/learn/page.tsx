import type { Metadata } from "next";
import { LearnStation } from "@/stations/learn/station";

export const metadata: Metadata = { title: "Learn" };

export default function Page() {
  return <LearnStation />;
}
