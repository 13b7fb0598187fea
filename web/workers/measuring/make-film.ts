import { beepOf, FLASH_EVERY_S, FLASH_LASTS_S } from '@echo-loom/core/signal';
import {
  AudioSample,
  AudioSampleSource,
  BufferTarget,
  CanvasSource,
  getFirstEncodableAudioCodec,
  getFirstEncodableVideoCodec,
  Mp4OutputFormat,
  Output,
} from 'mediabunny';

/** Our page that flashes and beeps as a film, to be shown by a phone or tablet. */

const FILM = { width: 640, height: 360, lengthS: 40, rateHz: 48_000, beginS: 1 } as const;
/** Frames between the flashes, so that every player goes on smoothly. @unit Hz */
const RATE = 30;
/** A frame that comes sooner after another is left out. @unit s */
const NEAR_S = 0.005;

/** The frames of the film: each flash begins and ends when it should, whatever the rate. */
const framesOfFilm = (): { readonly atS: number; readonly isWhite: boolean }[] => {
  const exact: { atS: number; isWhite: boolean }[] = [];
  for (let atS = FILM.beginS; atS < FILM.lengthS - 1; atS += FLASH_EVERY_S)
    exact.push({ atS, isWhite: true }, { atS: atS + FLASH_LASTS_S, isWhite: false });
  const between = Array.from({ length: FILM.lengthS * RATE }, (_, index) => index / RATE)
    .filter((atS) => exact.every((frame) => Math.abs(frame.atS - atS) > NEAR_S))
    .map((atS) => ({ atS, isWhite: exact.findLast((frame) => frame.atS < atS)?.isWhite ?? false }));
  return [...exact, ...between].sort((a, b) => a.atS - b.atS);
};

const soundOfFilm = (): Float32Array => {
  const samples = new Float32Array(FILM.lengthS * FILM.rateHz);
  for (let atS = FILM.beginS; atS < FILM.lengthS - 1; atS += FLASH_EVERY_S)
    samples.set(beepOf(FILM.rateHz), Math.round(atS * FILM.rateHz));
  return samples;
};

/** @throws Error where this browser makes no films */
export const makeFlashFilm = async (tell: (share: number) => void): Promise<Blob> => {
  const format = new Mp4OutputFormat();
  const picture = await getFirstEncodableVideoCodec(format.getSupportedVideoCodecs(), FILM);
  const sound = await getFirstEncodableAudioCodec(format.getSupportedAudioCodecs(), {
    numberOfChannels: 1,
    sampleRate: FILM.rateHz,
  });
  const canvas = new OffscreenCanvas(FILM.width, FILM.height);
  const context = canvas.getContext('2d');
  if (!picture || !sound || !context) throw new Error('This browser makes no films.');
  const target = new BufferTarget();
  const output = new Output({ format, target });
  const pictures = new CanvasSource(canvas, { codec: picture, bitrate: 400_000 });
  const sounds = new AudioSampleSource({ codec: sound, bitrate: 96_000 });
  output.addVideoTrack(pictures);
  output.addAudioTrack(sounds);
  await output.start();
  const beeps = new AudioSample({
    data: soundOfFilm(),
    format: 'f32',
    numberOfChannels: 1,
    sampleRate: FILM.rateHz,
    timestamp: 0,
  });
  await sounds.add(beeps);
  beeps.close();
  const frames = framesOfFilm();
  for (const [index, { atS, isWhite }] of frames.entries()) {
    context.fillStyle = isWhite ? '#fff' : '#000';
    context.fillRect(0, 0, FILM.width, FILM.height);
    await pictures.add(atS, (frames[index + 1]?.atS ?? FILM.lengthS) - atS);
    tell(index / frames.length);
  }
  await output.finalize();
  if (!target.buffer) throw new Error('The film could not be made.');
  return new Blob([target.buffer], { type: format.mimeType });
};
