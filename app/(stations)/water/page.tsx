import type { Metadata } from "next";
import { Water } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Water" };

export default function Page() {
  return <Water />;
}
