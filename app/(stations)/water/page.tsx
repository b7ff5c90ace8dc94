import type { Metadata } from "next";
import { WaterStation } from "@/stations/water/station";

export const metadata: Metadata = { title: "Water" };

export default function Page() {
  return <WaterStation />;
}
