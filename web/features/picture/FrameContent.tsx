import type { Framing } from '@echo-loom/core';

/** What stands in a frame, for drawing. Lengths in metres. */
export interface Drawn {
  readonly what: 'person' | 'two people' | 'hands' | 'screen' | 'place' | 'far person';
  readonly widthM: number;
  readonly heightM: number;
  /** Between two seats */
  readonly spacingM: number;
  readonly isSeated: boolean;
}

/** A shot as it is drawn; where it cannot be framed, as it is wanted. */
export const drawnOf = (
  framing: Framing,
  posture: 'sits' | 'stands' | 'moves',
  sight: string | null,
): Drawn => {
  const { shot, wanted } = framing;
  const heightM =
    framing.heightM ?? (wanted?.of === 'height' ? wanted.m : wanted ? (wanted.m * 9) / 16 : 1.2);
  const what =
    shot.wanted === 'two-shot'
      ? 'two people'
      : sight === 'hands' || sight === 'table' || sight === 'instrument'
        ? 'hands'
        : sight === 'screen' || sight === 'console' || sight === 'whiteboard'
          ? 'screen'
          : sight === 'people together'
            ? 'place'
            : 'person';
  return {
    what,
    heightM,
    widthM: framing.widthM ?? (heightM * 16) / 9,
    spacingM: shot.seatSpacingM ?? 0.8,
    isSeated: posture === 'sits',
  };
};

const LINE = 'var(--chakra-colors-ink)';
const SKIN = 'var(--chakra-colors-paper-card)';
const CLOTH = 'var(--chakra-colors-rule)';
/**
 * Head 0.23 m high and 0.16 m wide; eyes 0.11 m under the crown; shoulders 0.45 m; the table 0.55 m
 * under a seated crown.
 */
const Person = ({
  x,
  crownY,
  isSeated,
  stroke,
}: {
  readonly x: number;
  readonly crownY: number;
  readonly isSeated: boolean;
  readonly stroke: number;
}) => (
  <g stroke={LINE} strokeWidth={stroke}>
    <path
      d={
        `M${x - 0.225} ${crownY + (isSeated ? 0.75 : 1.75)} V${crownY + 0.42} Q${x - 0.22} ` +
        `${crownY + 0.3} ${x - 0.06} ${crownY + 0.27} H${x + 0.06} Q${x + 0.22} ` +
        `${crownY + 0.3} ${x + 0.225} ${crownY + 0.42} V${crownY + (isSeated ? 0.75 : 1.75)} ` +
        'Z'
      }
      fill={CLOTH}
    />
    <rect x={x - 0.05} y={crownY + 0.19} width={0.1} height={0.1} fill={SKIN} stroke="none" />
    <ellipse cx={x} cy={crownY + 0.115} rx={0.08} ry={0.115} fill={SKIN} />
    <circle cx={x - 0.032} cy={crownY + 0.11} r={0.007} fill={LINE} stroke="none" />
    <circle cx={x + 0.032} cy={crownY + 0.11} r={0.007} fill={LINE} stroke="none" />
  </g>
);

const Table = ({
  widthM,
  y,
  stroke,
}: {
  readonly widthM: number;
  readonly y: number;
  readonly stroke: number;
}) => (
  <rect
    x={-0.1}
    y={y}
    width={widthM + 0.2}
    height={2}
    fill="var(--chakra-colors-paper-deep)"
    stroke={LINE}
    strokeWidth={stroke}
  />
);

/**
 * Simple figures to scale inside a frame of so many metres; eyes stand a third down, as a camera
 * operator would set them.
 */
export const FrameContent = ({
  drawn: { what, widthM, heightM, spacingM, isSeated },
}: {
  readonly drawn: Drawn;
}) => {
  const stroke = heightM / 160;
  const middle = widthM / 2;
  const crown = heightM / 3 - 0.11;
  switch (what) {
    case 'person':
    case 'far person':
      return (
        <>
          <Person x={middle} crownY={crown} isSeated={isSeated} stroke={stroke} />
          {isSeated && <Table widthM={widthM} y={crown + 0.55} stroke={stroke} />}
          {what === 'far person' && (
            <rect
              x={widthM * 0.03}
              y={heightM * 0.03}
              width={widthM * 0.94}
              height={heightM * 0.94}
              fill="none"
              stroke={LINE}
              strokeWidth={stroke * 1.5}
              strokeDasharray={`${heightM / 25} ${heightM / 40}`}
            />
          )}
        </>
      );
    case 'two people':
      return (
        <>
          <Person x={middle - spacingM / 2} crownY={crown} isSeated={isSeated} stroke={stroke} />
          <Person x={middle + spacingM / 2} crownY={crown} isSeated={isSeated} stroke={stroke} />
          {isSeated && <Table widthM={widthM} y={crown + 0.55} stroke={stroke} />}
        </>
      );
    case 'place':
      return (
        <>
          {[-3, -2, -1, 0, 1, 2, 3].map((n) => (
            <Person
              key={n}
              x={middle + (n * widthM) / 8}
              crownY={heightM * 0.45}
              isSeated={false}
              stroke={stroke}
            />
          ))}
        </>
      );
    case 'hands':
      // A wheel or a plate of 0.3 m from above, with a hand of 0.18 m on either side.
      return (
        <g stroke={LINE} strokeWidth={stroke}>
          <circle cx={middle} cy={heightM / 2} r={0.15} fill={CLOTH} />
          <circle cx={middle} cy={heightM / 2} r={0.07} fill="none" />
          {[-1, 1].map((side) => (
            <path
              key={side}
              d={
                `M${middle + side * 0.36} ${heightM / 2 + 0.2} Q${middle + side * 0.28} ` +
                `${heightM / 2 + 0.04} ${middle + side * 0.1} ${heightM / 2 + 0.02} ` +
                `Q${middle + side * 0.12} ${heightM / 2 + 0.09} ${middle + side * 0.27} ` +
                `${heightM / 2 + 0.24} Z`
              }
              fill={SKIN}
            />
          ))}
        </g>
      );
    case 'screen':
      return (
        <g fill={CLOTH} stroke="none">
          <rect
            x={widthM * 0.08}
            y={heightM * 0.12}
            width={widthM * 0.5}
            height={heightM * 0.09}
            fill={LINE}
            opacity={0.7}
          />
          {[0.34, 0.47, 0.6, 0.73].map((y) => (
            <rect
              key={y}
              x={widthM * 0.08}
              y={heightM * y}
              width={widthM * (y === 0.73 ? 0.4 : 0.72)}
              height={heightM * 0.055}
            />
          ))}
        </g>
      );
  }
};
