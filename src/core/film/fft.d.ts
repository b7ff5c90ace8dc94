/** The part of fft.js that is used: radix-4 transforms of interleaved complex numbers. It ships no types. */
declare module "fft.js" {
  export default class FFT {
    constructor(size: number);
    transform(out: Float64Array, data: Float64Array): void;
    inverseTransform(out: Float64Array, data: Float64Array): void;
  }
}
