/** A film of the demo river's split stone, made by `npm run demo-film`: four pegs, as shares of its frame, and m. */
export const DEMO_FILM = {
  url: "/demo-film.webm",
  discharge: 6.5,
  stakes: [
    [0.1114, 0.3525],
    [0.7925, 0.3524],
    [0.9245, 0.8548],
    [0.1748, 0.7826],
  ],
  distances: { ab: 22.42, bc: 13.93, cd: 11.55, da: 15.56, ac: 24.22 },
} as const;
