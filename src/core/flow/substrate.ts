import { sourced } from "../quantity/provenance";

export const SUBSTRATES = ["silt", "sand", "gravel", "cobble", "boulders", "weed", "wood"] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/**
 * Manning's n of the bottom, s/m^(1/3). Chow 1959, table 5-6: clean earth and sand, gravels, cobbles with large
 * boulders, very weedy reaches, dense brush and debris.
 */
export const ROUGHNESS = sourced<Record<Substrate, number>>(
  { silt: 0.022, sand: 0.026, gravel: 0.032, cobble: 0.04, boulders: 0.055, weed: 0.11, wood: 0.15 },
  "s/m^(1/3)",
  "Chow 1959, Open-Channel Hydraulics, table 5-6",
);
