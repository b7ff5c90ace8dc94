import fc from "fast-check";
import { writeArrayBuffer } from "geotiff";
import { georeferenceOf, planeAbout } from "../trace/georeference";
import { tiffHeights, tiffPicture } from "./geotiff";
import { scaleOf } from "./file-place";
import { type HeightTile, layHeights } from "./heights";
import { readAsciiGrid } from "./heights-ascii";
import { readHeights } from "./heights-file";
import { readWorldFile } from "./world-file";

const ASCII =
  "ncols 3\nnrows 2\nxllcorner 500000\nyllcorner 5761000\ncellsize 2\nNODATA_value -9999\n1 2 3\n4 -9999 6\n";
const code = async (run: () => unknown) => {
  try {
    await run();
  } catch (error) {
    return (error as { fault: { code: string; line?: number } }).fault;
  }
  return undefined;
};
const at = (scale: ReturnType<typeof scaleOf>, on: [number, number]) => {
  const ground = georeferenceOf(scale)!;
  return planeAbout(ground.origin!).toPosition(ground.toPlane(on));
};

test("an ESRI ASCII grid: rows from the north, its corner in the south-west, no data as none", () => {
  const tile = readAsciiGrid(ASCII);
  expect([tile.width, tile.height]).toEqual([3, 2]);
  expect([...tile.z]).toEqual([1, 2, 3, 4, NaN, 6]);
  expect(tile.affine).toEqual({ x: [500000, 2, 0], y: [5761004, 0, -2] });
  const centred = readAsciiGrid(ASCII.replace("xllcorner 500000", "xllcenter 500001"));
  expect(centred.affine.x[0]).toBe(500000);
});

test("what is no grid is told with its line; any text is read or refused", async () => {
  expect(await code(() => readAsciiGrid(ASCII.replace("4 -9999 6", "4 x 6")))).toMatchObject({
    code: "not-a-grid",
    line: 8,
  });
  expect(await code(() => readAsciiGrid(ASCII.replace("4 -9999 6", "4")))).toMatchObject({ code: "not-a-grid" });
  expect(await code(() => readAsciiGrid("ncols 100000\nnrows 100000\ncellsize 1\n"))).toMatchObject({
    code: "grid-too-large",
  });
  await fc.assert(
    fc.asyncProperty(fc.string({ maxLength: 200 }), async (text) => {
      const found = await code(() => readAsciiGrid(`ncols 2\nnrows 2\n${text}`));
      if (found) expect(found.code).toMatch(/^(not-a-grid|not-text|empty-file|line-too-long)$/);
    }),
    { numRuns: 100 },
  );
});

/** A GeoTIFF of heights as the library itself writes one. */
const tiff = async (values: number[], width: number, more: Record<string, unknown> = {}) =>
  new Blob([
    (await writeArrayBuffer(
      Float32Array.from(values) as never,
      {
        width,
        height: values.length / width,
        BitsPerSample: [32],
        SampleFormat: [3],
        SamplesPerPixel: 1,
        ModelTiepoint: [0, 0, 0, 500000, 5761004, 0],
        ModelPixelScale: [2, 2, 0],
        ProjectedCSTypeGeoKey: 32630,
        GTModelTypeGeoKey: 1,
        ...more,
      } as never,
    )) as ArrayBuffer,
  ]);

test("a GeoTIFF of heights lies where its tags say (UTM zone 30: its middle meridian is 3 W, EPSG 32630)", async () => {
  const tile = await tiffHeights(await tiff([1, 2, 3, 4, 5, 6], 3));
  expect([...tile.z]).toEqual([1, 2, 3, 4, 5, 6]);
  expect(tile).toMatchObject({ width: 3, height: 2, epsg: 32630, affine: { x: [500000, 2, 0], y: [5761004, 0, -2] } });
  const { scale, grid } = layHeights([tile]);
  expect(grid).toMatchObject({ nx: 3, ny: 2 });
  const [longitude, latitude] = at(scale, [0, 2]);
  expect(longitude).toBeCloseTo(-3, 5);
  // Northing of 52 N: 0.9996 of the meridian's 5 763 343.55 m (Snell's series as in Snyder 1987, table 8): from memory.
  expect(latitude).toBeCloseTo(52, 3);
  // As heights it is no picture; a picture is no heights.
  expect(await code(async () => tiffPicture(await tiff([1, 2, 3, 4], 2), 100))).toMatchObject({
    code: "picture-of-heights",
  });
  expect(await code(async () => readHeights(new Blob(["hello"]), "x.tif"))).toMatchObject({ code: "not-tiff" });
});

test("the British grid by its EPSG code: Caister water tower to within 6 m of its Helmert transformation", () => {
  // Ordnance Survey, A guide to coordinate systems in Great Britain: E 651409.903, N 313177.270. From memory.
  const [longitude, latitude] = at(
    scaleOf({ x: [651409.903 - 1, 1, 0], y: [313177.27 + 1, 0, -1] }, 27700, 2, 2),
    [1, 1],
  );
  const [e, n] = planeAbout([1.716052, 52.657979]).toPlane([longitude, latitude]);
  expect(Math.hypot(e, n)).toBeLessThan(6);
});

test("tiles join where they meet, whatever their order; other coordinates are told", async () => {
  const tile = (x: number, first: number): HeightTile => ({
    width: 4,
    height: 4,
    z: Float32Array.from({ length: 16 }, (_, k) => first + k),
    affine: { x: [x, 2, 0], y: [5761008, 0, -2] },
    epsg: 32630,
  });
  const [west, east] = [tile(500000, 0), tile(500008, 100)];
  for (const tiles of [
    [west, east],
    [east, west],
  ]) {
    const { grid } = layHeights(tiles);
    expect([grid.nx, grid.ny]).toEqual([8, 4]);
    expect([...grid.z.slice(0, 8)]).toEqual([0, 1, 2, 3, 100, 101, 102, 103]);
  }
  expect(await code(() => layHeights([west, { ...east, epsg: 25830 }]))).toMatchObject({ code: "tiles-apart" });
  expect(await code(() => layHeights([{ ...west, epsg: 9999 }]))).toMatchObject({ code: "epsg-unknown" });
  expect(await code(() => layHeights([west], [10, 10, 11, 11]))).toMatchObject({ code: "box-outside" });
  const metres = layHeights([
    { ...west, epsg: null },
    { ...east, epsg: null },
  ]);
  expect(metres.grid.nx).toBe(8);
  expect(georeferenceOf(metres.scale)!.origin).toBeNull();
});

test("a colour TIFF is read in bands and shrunk, in its own place", async () => {
  const [width, height] = [300, 200];
  const rgb = Uint8Array.from({ length: width * height * 3 }, (_, k) => (k % 3 === 0 ? Math.floor(k / 3) % 256 : 50));
  const file = new Blob([
    (await writeArrayBuffer(
      rgb as never,
      {
        width,
        height,
        BitsPerSample: [8, 8, 8],
        SamplesPerPixel: 3,
        PhotometricInterpretation: 2,
        ModelTiepoint: [0, 0, 0, 500000, 5761004, 0],
        ModelPixelScale: [0.5, 0.5, 0],
        ProjectedCSTypeGeoKey: 32630,
        GTModelTypeGeoKey: 1,
      } as never,
    )) as ArrayBuffer,
  ]);
  const picture = await tiffPicture(file, 100);
  expect([picture.width, picture.height]).toEqual([100, 66]);
  expect(picture.affine!.x[1]).toBeCloseTo(1.5, 9);
  expect([...picture.rgba.slice(0, 4)]).toEqual([301 % 256, 50, 50, 255]);
});

test("a world file places the middle of the first pixel; six numbers, no fewer", async () => {
  expect(readWorldFile("0.5\n0\n0\n-0.5\n1000.25\n1999.75\n")).toEqual({ x: [1000, 0.5, 0], y: [2000, 0, -0.5] });
  expect(await code(() => readWorldFile("1\n2\n3"))).toMatchObject({ code: "not-world-file" });
  expect(await code(() => readWorldFile("0 0 0 0 0 0"))).toMatchObject({ code: "not-world-file" });
});
