/**
 * Films the demo river's split stone (`npm run demo-film`): public/demo-film.webm, and src/demo/film.ts.
 * The frames are rendered from the solved field, and packed by Chromium's own encoder.
 */
import { chromium } from "@playwright/test";
import { readFileSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { solveSteady } from "../src/core/flow/steady";
import { inverse, type Point, project } from "../src/core/film/homography";
import { DEMO_REACHES } from "../src/demo/river";
import { type Camera, cameraPlane, filmOf, surfaceOf } from "../src/testing/film-scene";
import { chromiumPath } from "./chromium.mjs";

const require = createRequire(import.meta.url);
const DISCHARGE = 6.5;
const FRAMES_PER_SECOND = 30;
/** On two stones, and at the right bank. */
const PEGS: readonly Point[] = [
  [46.6, 13.6],
  [69, 14.5],
  [66, 28.1],
  [54.5, 27],
];
const CAMERA: Camera = {
  width: 640,
  height: 360,
  fieldOfView: 70,
  at: [60, 36.5],
  high: 7,
  heading: -91,
  tilt: 24,
  roll: 1,
};

const [reach] = DEMO_REACHES;
const grid = rasteriseReach(reach!, 0.5);
const field = solveSteady(grid, { discharge: DISCHARGE, downstream: reach!.downstream });
const stakes = PEGS.map((peg) => project(inverse(cameraPlane(CAMERA)), peg));
const film = filmOf(
  {
    surface: surfaceOf(field, [0, 0]),
    low: [30, 1],
    high: [90, 34],
    framesPerSecond: FRAMES_PER_SECOND,
    seconds: 5,
    shake: 2.5,
    noise: 2,
    marks: 9,
    seed: 41,
    pegs: PEGS,
  },
  CAMERA,
);

const browser = await chromium.launch({ executablePath: chromiumPath(), args: ["--no-sandbox", "--disable-gpu"] });
const page = await browser.newPage();
await page.route("http://localhost/**", (route) => route.fulfill({ body: "<p>", contentType: "text/html" }));
await page.goto("http://localhost/");
await page.addScriptTag({ content: readFileSync(require.resolve("webm-muxer"), "utf8") });
const { width, height } = CAMERA;
// As text: what runs in the page is not compiled with the rest.
await page.evaluate(`
  const target = new WebMMuxer.ArrayBufferTarget();
  const muxer = new WebMMuxer.Muxer({ target, video: { codec: "V_VP8", width: ${width}, height: ${height} } });
  const encoder = new VideoEncoder({
    output: (chunk, meta) => muxer.addVideoChunk(chunk, meta),
    error: (error) => { throw error; },
  });
  encoder.configure({ codec: "vp8", width: ${width}, height: ${height}, bitrate: 1100000, framerate: ${FRAMES_PER_SECOND} });
  window.encode = ([text, timestamp, keyFrame]) => {
    const grey = Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
    const data = new Uint8ClampedArray(4 * grey.length);
    // The colours of clear water under a grey sky.
    grey.forEach((value, k) => data.set([0.86 * value, 0.96 * value + 4, 0.9 * value + 8, 255], 4 * k));
    const frame = new VideoFrame(data, { format: "RGBA", codedWidth: ${width}, codedHeight: ${height}, timestamp });
    encoder.encode(frame, { keyFrame });
    frame.close();
  };
  window.finish = async () => {
    await encoder.flush();
    muxer.finalize();
    return btoa(Array.from(new Uint8Array(target.buffer), (byte) => String.fromCharCode(byte)).join(""));
  };
`);
let count = 0;
for (const frame of film) {
  const text = Buffer.from(frame.grey).toString("base64");
  await page.evaluate(`encode(["${text}", ${Math.round(frame.seconds * 1e6)}, ${count % 30 === 0}])`);
  count++;
}
const packed = await page.evaluate<string>("finish()");
await browser.close();
writeFileSync("public/demo-film.webm", Buffer.from(packed, "base64"));

const far = ([a, b]: Point, [c, d]: Point) => Number(Math.hypot(a - c, b - d).toFixed(2));
const [a, b, c, d] = PEGS as [Point, Point, Point, Point];
writeFileSync(
  "src/demo/film.ts",
  `/** A film of the demo river's split stone, made by \`npm run demo-film\`: four pegs, as shares of its frame, and m. */
export const DEMO_FILM = {
  url: "/demo-film.webm",
  discharge: ${DISCHARGE},
  stakes: ${JSON.stringify(stakes.map(([x, y]) => [Number((x / width).toFixed(4)), Number((y / height).toFixed(4))]))},
  distances: { ab: ${far(a, b)}, bc: ${far(b, c)}, cd: ${far(c, d)}, da: ${far(d, a)}, ac: ${far(a, c)} },
} as const;
`,
);
process.stderr.write(`${count} frames, ${Math.round((packed.length * 3) / 4 / 1024)} kB\n`);
