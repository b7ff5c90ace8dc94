import { Front } from "@/stations/welcome/front";

export default function Page() {
  return <Front />;
}
