import type { Reach } from "../core/flow/reach-schema";
import { DEMO_STATION } from "./station";

/** The two reaches of the demo river Ostrel. Nothing here is a real water. */
export const DEMO_REACHES: readonly Reach[] = [
  {
    schema: "low-heron/reach@1",
    id: "demo-kiln-glide",
    name: "Kiln Glide",
    bed: {
      kind: "template",
      template: "riffle-run-pool",
      length: 150,
      width: 24,
      poolDepth: 1.5,
      slope: 0.0028,
      wiggle: 4,
      cell: 0.5,
    },
    roughness: 0.034,
    downstream: { kind: "normal", slope: 0.0028 },
    latitude: DEMO_STATION.latitude,
    longitude: DEMO_STATION.longitude,
    bearing: 70,
    features: [
      { kind: "boulder", x: 47, y: 14, diameter: 2.4, height: 0.9, name: "pulpit stone" },
      { kind: "boulder", x: 60, y: 19.5, diameter: 3, height: 1.3, name: "split stone" },
      { kind: "boulder", x: 69, y: 14.5, diameter: 2.2, height: 0.9, name: "flat stone" },
      { kind: "log-jam", x: 86, y: 27.2, length: 8, width: 3, angle: -62, height: 2.6, name: "log jam" },
      { kind: "boulder", x: 112, y: 24, diameter: 2.6, height: 1.2, name: "tail stone" },
    ],
  },
  {
    schema: "low-heron/reach@1",
    id: "demo-alder-bend",
    name: "Alder Bend",
    bed: {
      kind: "template",
      template: "riffle-run-pool",
      length: 110,
      width: 18,
      poolDepth: 1.9,
      slope: 0.004,
      wiggle: 6,
      cell: 0.5,
    },
    roughness: 0.038,
    downstream: { kind: "normal", slope: 0.004 },
    latitude: DEMO_STATION.latitude,
    longitude: DEMO_STATION.longitude,
    bearing: 115,
    features: [
      { kind: "log-jam", x: 52, y: 9.5, length: 6, width: 2.4, angle: 70, height: 2.8, name: "alder jam" },
      { kind: "boulder", x: 36, y: 14, diameter: 2, height: 0.8, name: "ford stone" },
      { kind: "boulder", x: 66, y: 17, diameter: 2.6, height: 1.4, name: "sunk stone" },
      { kind: "overhang", x: 30, y: 4.2, length: 24, width: 3, angle: 0, name: "alders" },
    ],
  },
];
