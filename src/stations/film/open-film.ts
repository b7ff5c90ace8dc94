import { InputError } from "../../core/quantity/fault";
import { DEMO_FILM } from "../../demo/film";
import { draftOf, useFilm } from "../../state/film";

/** Browsers that film themselves write no length: past the end they find it, s. */
const PAST_THE_END = 1e7;

const once = (video: HTMLVideoElement, name: string): Promise<void> =>
  new Promise((resolve, reject) => {
    video.addEventListener(name, () => resolve(), { once: true });
    video.addEventListener("error", () => reject(new InputError("not-a-film", {})), { once: true });
  });

/**
 * Opens a film: from a file it never leaves the device.
 * @throws InputError "not-a-film" where the browser cannot play it
 */
async function opened(name: string, url: string): Promise<void> {
  const video = document.createElement("video");
  video.preload = "auto";
  video.muted = true;
  const ready = once(video, "loadedmetadata");
  video.src = url;
  await ready;
  if (!Number.isFinite(video.duration)) {
    const found = once(video, "durationchange");
    video.currentTime = PAST_THE_END;
    await found;
  }
  if (!(video.videoWidth > 0 && video.duration > 0)) throw new InputError("not-a-film", {});
  const before = useFilm.getState().draft;
  if (before?.url.startsWith("blob:")) URL.revokeObjectURL(before.url);
  useFilm.setState({ draft: draftOf(name, url, video) });
  video.removeAttribute("src");
}

export async function openFilm(file: File): Promise<void> {
  const url = URL.createObjectURL(file);
  try {
    await opened(file.name, url);
  } catch (error) {
    URL.revokeObjectURL(url);
    throw error;
  }
}

/** The film that ships, with its four stakes marked and measured. */
export async function openDemoFilm(): Promise<void> {
  await opened("Demo film", DEMO_FILM.url);
  useFilm.setState(({ draft }) => ({
    draft: draft && {
      ...draft,
      points: DEMO_FILM.stakes.map(([x, y]) => [x * draft.width, y * draft.height] as const),
      distances: { ...DEMO_FILM.distances },
    },
  }));
}
