import type { LinkEdge, Stage } from '../../graph';
import { ENCODING_BITS_PER_PIXEL } from '../../rig';
import { cable, reachM } from '../../rig/links/cables';
import { formatName, framesPerSecond, linkBitsPerPixel, pixelClockHz } from '../../units';
import type { Measured } from '../measured';
import type { Sum } from '../sum';

/** How pixels are written where a source does not say. */
const USUAL_CODING = {
  hdmi: { chroma: 'rgb', bits: 8 },
  sdi: { chroma: '4:2:2', bits: 10 },
} as const;

/** Load of a format on the link it arrived by. */
export const explainPayload = (measured: Measured, stage: Stage): Sum[] => {
  const figures = measured.picture[stage.index];
  if (!figures?.format || stage.at.port.family !== 'picture') return [];
  const clock = pixelClockHz(figures.format);
  const { standard } = stage.at.port;
  const { chroma, bits } = figures.coding ?? USUAL_CODING[standard];
  return [
    {
      label: `${formatName(figures.format)} on ${standard.toUpperCase()}`,
      formula: 'pixel clock × bits per pixel',
      inputs: [
        { name: 'pixel clock', value: clock === null ? 'unknown' : clock / 1e6, unit: 'MHz' },
        { name: 'bits per pixel', value: linkBitsPerPixel(standard, chroma, bits), unit: 'bit' },
      ],
      result: figures.payloadGbps,
      unit: 'Gb/s',
      source: standard === 'hdmi' ? 'CTA-861' : 'SMPTE ST 292, 424, 2081, 2082',
    },
  ];
};

/** Data rate of a picture once it is a stream. */
export const explainStream = (measured: Measured, stage: Stage): Sum[] => {
  const figures = measured.picture[stage.index];
  if (!figures?.format || figures.encoding === null) return [];
  const { width, height } = figures.format;
  const bits = ENCODING_BITS_PER_PIXEL[figures.encoding];
  return [
    {
      label: `${formatName(figures.format)}, ${figures.encoding}`,
      formula: 'width × height × frames/s × bits per pixel ÷ 8',
      inputs: [
        { name: 'width', value: width, unit: 'px' },
        { name: 'height', value: height, unit: 'px' },
        { name: 'frames/s', value: framesPerSecond(figures.format), unit: '' },
        { name: 'bits per pixel', value: bits ?? 'unknown', unit: 'bit' },
      ],
      result: figures.streamMBps,
      unit: 'MB/s',
      source:
        figures.encoding === 'compressed'
          ? 'handbook 3-picture; 1.6 bits a pixel is typical of frame-by-frame compression'
          : 'handbook 3-picture',
    },
  ];
};

/** Longest run of a link's cable at the load on it. */
export const explainReach = (measured: Measured, edge: LinkEdge, gbps: number): Sum[] => {
  const kind = cable(edge.link.cable.kind);
  const reach = reachM(kind, gbps);
  return [
    {
      label: `${kind.name}, ${edge.link.cable.lengthM} m`,
      formula: 'length ÷ reach at this load',
      inputs: [
        { name: 'length', value: edge.link.cable.lengthM, unit: 'm' },
        { name: 'reach', value: reach, unit: 'm' },
        ...(gbps > 0 ? [{ name: 'load', value: gbps, unit: 'Gb/s' }] : []),
        { name: 'warning from', value: measured.rig.houseRules.reachWarnShare * 100, unit: '%' },
      ],
      result: reach > 0 ? (100 * edge.link.cable.lengthM) / reach : null,
      unit: '%',
      source: `${kind.source}; the cable's own data sheet decides`,
    },
  ];
};
