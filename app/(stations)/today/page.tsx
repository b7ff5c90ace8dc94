import type { Metadata } from "next";
import { Today } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Today" };

export default function Page() {
  return <Today />;
}
