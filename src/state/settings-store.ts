/**
 * The browser's own place for settings, shared by all tabs: a tab writes only what it has changed, so that two of them
 * never write over each other. Where the place is blocked or full, settings hold for this page.
 */
export const SETTINGS_NAME = "low-heron-settings";

interface Kept {
  state: Record<string, unknown>;
  version?: number;
}

const parsed = (text: string | null): Kept | undefined => {
  try {
    const kept = JSON.parse(text ?? "null") as Kept | null;
    return typeof kept?.state === "object" && kept.state !== null ? kept : undefined;
  } catch {
    return undefined;
  }
};

/** The fields of kept settings; undefined where the text is none. */
export const parsedSettings = (text: string | null): Record<string, unknown> | undefined => parsed(text)?.state;

export interface SettingsStorage {
  getItem: (name: string) => string | null;
  setItem: (name: string, text: string) => void;
  removeItem: (name: string) => void;
}

/**
 * @param place the browser's storage, looked up at each use since it may be blocked
 * @param onBlocked what is kept is not kept: said once
 */
export function sharedSettings(place: () => Storage, onBlocked: () => void): SettingsStorage {
  /** What this tab has read or written last. */
  let own: Record<string, unknown> = {};
  let told = false;
  return {
    getItem: (name) => {
      try {
        const text = place().getItem(name);
        own = parsed(text)?.state ?? {};
        return text;
      } catch {
        return null;
      }
    },
    setItem: (name, text) => {
      try {
        const next = parsed(text)!;
        const state = { ...parsed(place().getItem(name))?.state };
        for (const [field, value] of Object.entries(next.state))
          if (!(field in state) || JSON.stringify(value) !== JSON.stringify(own[field])) state[field] = value;
        own = next.state;
        place().setItem(name, JSON.stringify({ ...next, state }));
      } catch {
        if (!told) onBlocked();
        told = true;
      }
    },
    removeItem: (name) => place().removeItem(name),
  };
}
