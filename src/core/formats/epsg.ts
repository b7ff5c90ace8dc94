/** Definitions of the usual projected coordinates by their EPSG code, for proj4. Source: the EPSG dataset, IOGP. */

const ETRS = "+ellps=GRS80 +towgs84=0,0,0,0,0,0,0 +units=m +no_defs";
const NAD83 = "+datum=NAD83 +units=m +no_defs";

const SINGLE: Readonly<Record<number, string>> = {
  /** Web Mercator. */
  3857: "+proj=merc +a=6378137 +b=6378137 +lat_ts=0 +lon_0=0 +x_0=0 +y_0=0 +k=1 +units=m +nadgrids=@null +no_defs",
  /** British National Grid. */
  27700:
    "+proj=tmerc +lat_0=49 +lon_0=-2 +k=0.9996012717 +x_0=400000 +y_0=-100000 +ellps=airy +towgs84=446.448,-125.157,542.06,0.15,0.247,0.842,-20.489 +units=m +no_defs",
  /** Irish Transverse Mercator. */
  2157: `+proj=tmerc +lat_0=53.5 +lon_0=-8 +k=0.99982 +x_0=600000 +y_0=750000 ${ETRS}`,
  /** France, Lambert-93. */
  2154: `+proj=lcc +lat_0=46.5 +lon_0=3 +lat_1=49 +lat_2=44 +x_0=700000 +y_0=6600000 ${ETRS}`,
  /** Europe, Lambert azimuthal equal area. */
  3035: `+proj=laea +lat_0=52 +lon_0=10 +x_0=4321000 +y_0=3210000 ${ETRS}`,
  /** Netherlands, RD New. */
  28992:
    "+proj=sterea +lat_0=52.1561605555556 +lon_0=5.38763888888889 +k=0.9999079 +x_0=155000 +y_0=463000 +ellps=bessel +towgs84=565.4171,50.3319,465.5524,1.9342,-1.6677,9.1019,4.0725 +units=m +no_defs",
  /** Switzerland, LV95. */
  2056: "+proj=somerc +lat_0=46.9524055555556 +lon_0=7.43958333333333 +k_0=1 +x_0=2600000 +y_0=1200000 +ellps=bessel +towgs84=674.374,15.056,405.346,0,0,0,0 +units=m +no_defs",
  /** Poland, CS92. */
  2180: `+proj=tmerc +lat_0=0 +lon_0=19 +k=0.9993 +x_0=500000 +y_0=-5300000 ${ETRS}`,
  /** Sweden, SWEREF99 TM. */
  3006: `+proj=utm +zone=33 ${ETRS}`,
  /** United States, Albers. */
  5070: `+proj=aea +lat_0=23 +lon_0=-96 +lat_1=29.5 +lat_2=45.5 +x_0=0 +y_0=0 ${NAD83}`,
  /** New Zealand, NZTM. */
  2193: `+proj=tmerc +lat_0=0 +lon_0=173 +k=0.9996 +x_0=1600000 +y_0=10000000 ${ETRS}`,
};

/** UTM by zone: the code less the zone, the zones it has, and the rest of its definition. */
const UTM = [
  { base: 32600, from: 1, to: 60, rest: "+datum=WGS84 +units=m +no_defs" },
  { base: 32700, from: 1, to: 60, rest: "+south +datum=WGS84 +units=m +no_defs" },
  { base: 25800, from: 28, to: 38, rest: ETRS },
  { base: 26900, from: 1, to: 23, rest: NAD83 },
  { base: 6329, from: 1, to: 19, rest: NAD83 },
] as const;

/** Geographic coordinates that lie within a metre of WGS 84 (WGS 84, ETRS89, NAD83, NZGD2000, JGD2011). */
const DEGREES: ReadonlySet<number> = new Set([4326, 4258, 4269, 4167, 6668]);

/** What the coordinates of a code are: degrees, or a definition for proj4; undefined where it is not known here. */
export function coordinatesOf(epsg: number): "degrees" | { definition: string } | undefined {
  if (DEGREES.has(epsg)) return "degrees";
  const own = SINGLE[epsg];
  if (own) return { definition: own };
  for (const { base, from, to, rest } of UTM) {
    const zone = epsg - base;
    if (zone >= from && zone <= to) return { definition: `+proj=utm +zone=${zone} ${rest}` };
  }
  return undefined;
}
