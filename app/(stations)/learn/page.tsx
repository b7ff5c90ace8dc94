import type { Metadata } from "next";
import { Learn } from "@/stations/late";

export const metadata: Metadata = { title: "Learn" };

export default function Page() {
  return <Learn />;
}
