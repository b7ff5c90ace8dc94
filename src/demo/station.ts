/** The demo river Ostrel, gauged at Corbel Bridge, with two reaches. Nothing here is a real water. */
export const DEMO_STATION = {
  id: "demo-ostrel-corbel",
  name: "Ostrel at Corbel Bridge",
  code: "MADE-UP-1",
  zone: "Europe/Dublin",
  latitude: 53.2,
  longitude: -7.4,
};
