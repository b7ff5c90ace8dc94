import type { Metadata } from "next";
import { Learn } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Learn" };

export default function Page() {
  return <Learn />;
}
