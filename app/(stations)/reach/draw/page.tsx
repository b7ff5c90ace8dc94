import type { Metadata } from "next";
import { Draw } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Draw a reach" };

export default function Page() {
  return <Draw />;
}
