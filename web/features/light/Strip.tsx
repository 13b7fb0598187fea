import { SENSOR_STOPS, type Tone } from '@echo-loom/core';
import { stopsText } from './shares';
import { greyAt } from './tones';

/** How wide it is drawn. */
export const STRIP_WIDTH_PX = 216;
/** Scale of the strip. @unit stops */
const [FROM, TO] = [-7, 5];
const STRIP_PX = 18;
const at = (stops: number): number =>
  (STRIP_WIDTH_PX * (Math.min(TO, Math.max(FROM, stops)) - FROM)) / (TO - FROM);

const LETTERS: Readonly<Record<Tone['what'], string>> = {
  face: 'F',
  clothes: 'C',
  hair: 'H',
  background: 'B',
  lamp: 'L',
  window: 'W',
};

const listed = (tones: readonly Tone[]): string =>
  tones.map(({ name, stops }) => `${name} ${stopsText(stops)}`).join(', ');

/** Faces, background and the rest in stops, against what a picture holds. */
export const Strip = ({ tones }: { readonly tones: readonly Tone[] }) => (
  <svg
    viewBox={`0 0 ${STRIP_WIDTH_PX} ${STRIP_PX + 12}`}
    width="100%"
    role="img"
    aria-label={`In stops from middle grey: ${listed(tones)}`}
  >
    {Array.from({ length: (TO - FROM) * 2 }, (_, step) => FROM + step / 2).map((stops) => (
      <rect
        key={stops}
        x={at(stops)}
        width={STRIP_WIDTH_PX / (TO - FROM) / 2 + 0.5}
        height={STRIP_PX}
        fill={greyAt(stops)}
      />
    ))}
    {[-SENSOR_STOPS.under, SENSOR_STOPS.over].map((edge) => (
      <line
        key={edge}
        x1={at(edge)}
        x2={at(edge)}
        y2={STRIP_PX}
        stroke="var(--chakra-colors-madder)"
        strokeWidth="2"
      />
    ))}
    {tones.map(({ what, name, stops }) => (
      <g key={`${what} ${name}`}>
        <line
          x1={at(stops)}
          x2={at(stops)}
          y1="2"
          y2={STRIP_PX}
          stroke={stops > -1 ? '#000' : '#fff'}
          strokeWidth="1.5"
        />
        <text x={at(stops)} y={STRIP_PX + 10} textAnchor="middle" fontSize="9" fill="currentColor">
          {LETTERS[what]}
        </text>
      </g>
    ))}
  </svg>
);
