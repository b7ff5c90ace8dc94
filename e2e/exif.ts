/** What a camera writes into a picture (EXIF 2.32): which way it was held, when, and where. */
export interface Written {
  /** 6: a quarter turn clockwise to be upright. */
  orientation: number;
  /** "2026:05:14 09:30:00" */
  taken: string;
  /** Whole degrees. */
  latitude: number;
  longitude: number;
}

const ASCII = 2;
const SHORT = 3;
const LONG = 4;
const RATIONAL = 5;

/** An APP1 segment with a TIFF of three directories, little-endian. */
function segment({ orientation, taken, latitude, longitude }: Written): Buffer {
  const tiff = Buffer.alloc(400);
  tiff.write("II*\0", 0, "latin1");
  tiff.writeUInt32LE(8, 4);
  let free = 200;
  const directory = (at: number, entries: readonly [tag: number, type: number, count: number, value: number][]) => {
    tiff.writeUInt16LE(entries.length, at);
    entries.forEach(([tag, type, count, value], k) => {
      const entry = at + 2 + 12 * k;
      tiff.writeUInt16LE(tag, entry);
      tiff.writeUInt16LE(type, entry + 2);
      tiff.writeUInt32LE(count, entry + 4);
      tiff.writeUInt32LE(value, entry + 8);
    });
  };
  const put = (bytes: Buffer): number => {
    bytes.copy(tiff, free);
    free += bytes.length;
    return free - bytes.length;
  };
  const degrees = (value: number): number => {
    const bytes = Buffer.alloc(24);
    [value, 1, 0, 1, 0, 1].forEach((part, k) => bytes.writeUInt32LE(part, 4 * k));
    return put(bytes);
  };
  const letter = (text: string) => text.charCodeAt(0);
  const [exif, gps] = [60, 100];
  directory(8, [
    [0x0112, SHORT, 1, orientation],
    [0x8769, LONG, 1, exif],
    [0x8825, LONG, 1, gps],
  ]);
  directory(exif, [[0x9003, ASCII, 20, put(Buffer.from(`${taken}\0`, "latin1"))]]);
  directory(gps, [
    [1, ASCII, 2, letter(latitude < 0 ? "S" : "N")],
    [2, RATIONAL, 3, degrees(Math.abs(latitude))],
    [3, ASCII, 2, letter(longitude < 0 ? "W" : "E")],
    [4, RATIONAL, 3, degrees(Math.abs(longitude))],
  ]);
  const body = Buffer.concat([Buffer.from("Exif\0\0", "latin1"), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}

/** A JPEG with what a camera writes, straight after its first marker. */
export const withExif = (jpeg: Buffer, written: Written): Buffer =>
  Buffer.concat([jpeg.subarray(0, 2), segment(written), jpeg.subarray(2)]);
