/** Files larger than this are refused, bytes: ten years of quarter hours with four parameters is about 25 MB. */
export const LARGEST_FILE = 64 * 1024 * 1024;
