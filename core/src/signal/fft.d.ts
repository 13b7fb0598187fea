declare module 'fft.js' {
  /** A fast Fourier transform of one size, a power of two. */
  export default class FFT {
    constructor(size: number);
    realTransform(out: number[], data: number[]): void;
    completeSpectrum(spectrum: number[]): void;
    inverseTransform(out: number[], data: number[]): void;
  }
}
