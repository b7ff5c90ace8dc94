import type { Command } from "./command";

/** The commands, each read only when it is asked for. */
const COMMANDS: Record<string, () => Promise<Command>> = {
  gauge: async () => (await import("./gauge")).gauge,
  rating: async () => (await import("./rating")).rating,
  flow: async () => (await import("./flow")).flow,
  read: async () => (await import("./read")).read,
  rig: async () => (await import("./rig")).rig,
  drift: async () => (await import("./drift")).drift,
  sink: async () => (await import("./sink")).sink,
  fish: async () => (await import("./fish")).fish,
  rules: async () => (await import("./rules")).rules,
  convert: async () => (await import("./convert")).convert,
  rates: async () => (await import("./rates")).rates,
  plan: async () => (await import("./plan")).plan,
  trace: async () => (await import("./trace")).trace,
  dem: async () => (await import("./dem")).dem,
  soundings: async () => (await import("./soundings")).soundings,
};

export const NAMES = Object.keys(COMMANDS);
export const commandNamed = async (name: string): Promise<Command | undefined> =>
  Object.hasOwn(COMMANDS, name) ? COMMANDS[name]!() : undefined;
