import type { Metadata } from "next";
import { Film } from "@/stations/lazy-stations";

export const metadata: Metadata = { title: "Film the water" };

export default function Page() {
  return <Film />;
}
