import type { ReactNode } from "react";
import { Shell } from "@/stations/shell";

export default function StationsLayout({ children }: { children: ReactNode }) {
  return <Shell>{children}</Shell>;
}
