import type { Recording } from '@echo-loom/core/signal';
import { ALL_FORMATS, type AudioSample, AudioSampleSink, BlobSource, Input } from 'mediabunny';

/** The sound of a file, read a piece at a time: nothing of it leaves the machine, and little of it is held. */

/** That a file holds nothing that can be measured, and why; said to the person as it is. */
export class UnreadableFile extends Error {
  override readonly name = 'UnreadableFile';
}

export interface SoundFile extends Recording {
  readonly name: string;
  readonly channels: number;
  readonly lengthS: number;
  readonly codec: string;
  /** Every channel, one piece after the other, from the beginning */
  pieces(): AsyncGenerator<Float32Array[], void, unknown>;
  close(): void;
}

/** The channels of a decoded piece. */
const channelsOf = (sample: AudioSample): Float32Array[] =>
  Array.from({ length: sample.numberOfChannels }, (_, planeIndex) => {
    const channel = new Float32Array(sample.numberOfFrames);
    sample.copyTo(channel, { planeIndex, format: 'f32-planar' });
    return channel;
  });

const mixed = (channels: readonly Float32Array[]): Float32Array => {
  const [first = new Float32Array(0), ...rest] = channels;
  if (rest.length === 0) return first;
  return first.map(
    (value, at) => rest.reduce((sum, channel) => sum + (channel[at] ?? 0), value) / channels.length,
  );
};

/** Reads forward without opening the file anew; elsewhere it begins again from there. */
class Reader {
  private samples: AsyncGenerator<AudioSample, void, unknown> | null = null;
  /** What has been decoded and lies at `at` */
  private piece: Float32Array = new Float32Array(0);
  private at = 0;

  constructor(
    private readonly sink: AudioSampleSink,
    private readonly rateHz: number,
  ) {}

  async read(from: number, count: number): Promise<Float32Array> {
    const out = new Float32Array(count);
    if (from + count <= 0) return out;
    const begin = Math.max(0, from);
    const isAhead = begin >= this.at && begin <= this.at + this.piece.length + this.rateHz;
    if (!this.samples || !isAhead) {
      await this.samples?.return();
      this.samples = this.sink.samples(begin / this.rateHz);
      this.piece = new Float32Array(0);
      this.at = begin;
    }
    for (;;) {
      this.take(out, from);
      if (this.at + this.piece.length >= from + count) return out;
      const { value: sample, done } = await this.samples.next();
      if (done || !sample) return out;
      this.at = Math.round(sample.timestamp * this.rateHz);
      this.piece = mixed(channelsOf(sample));
      sample.close();
    }
  }

  private take(out: Float32Array, from: number): void {
    const first = Math.max(from, this.at);
    const last = Math.min(from + out.length, this.at + this.piece.length);
    if (last > first) out.set(this.piece.subarray(first - this.at, last - this.at), first - from);
  }
}

/** @throws UnreadableFile where there is no sound in it that this browser reads */
export const openSound = async (file: File): Promise<SoundFile> => {
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  const track = await input.getPrimaryAudioTrack().catch(() => {
    throw new UnreadableFile(`${file.name} is no recording that can be read here.`);
  });
  if (!track) throw new UnreadableFile(`${file.name} has no sound in it.`);
  const codec = (await track.getCodec()) ?? 'unknown';
  if (!(await track.canDecode()))
    throw new UnreadableFile(
      `The sound of ${file.name} (${codec}) is not read by this browser. WAV, FLAC, MP3, AAC and Opus are.`,
    );
  const rateHz = await track.getSampleRate();
  const channels = await track.getNumberOfChannels();
  const lengthS = await track.computeDuration();
  const sink = new AudioSampleSink(track);
  const reader = new Reader(sink, rateHz);
  return {
    name: file.name,
    codec,
    rateHz,
    channels,
    lengthS,
    samples: Math.round(lengthS * rateHz),
    read: (from, count) => reader.read(from, count),
    async *pieces() {
      for await (const sample of sink.samples()) {
        const piece = channelsOf(sample);
        sample.close();
        yield piece;
      }
    },
    close: () => input.dispose(),
  };
};
