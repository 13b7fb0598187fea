'use client';

import { Box, Text } from '@chakra-ui/react';
import { figure, type Framing } from '@echo-loom/core';
import { FrameContent, type Drawn } from './FrameContent';

interface Props {
  readonly framing: Framing;
  readonly drawn: Drawn;
}

const SOFT = 'var(--chakra-colors-ink-soft)';
const ACCENT = 'var(--chakra-colors-madder)';

/** What is said of the drawing to those who do not see it. */
const described = ({ widthM, heightM, shot, headroomShare }: Framing): string =>
  widthM === null || heightM === null
    ? `The shot as it is wanted: ${shot.wanted}. It cannot be framed yet.`
    : `A frame of ${figure(widthM, 2)} by ${figure(heightM, 2)} metres, drawn to scale` +
      (headroomShare === null
        ? '.'
        : `, with ${figure(headroomShare * 100, 0)} percent of its height over the head.`);

/**
 * The frame of a shot drawn to scale: figures of usual size, the wanted frame round the same eyes,
 * headroom and a scale.
 */
export const FramePreview = ({ framing, drawn }: Props) => {
  const { widthM, heightM } = drawn;
  const known = framing.heightM !== null;
  const unit = heightM / 100;
  const isPerson = drawn.what === 'person' || drawn.what === 'two people';
  const crown = heightM / 3 - 0.11;
  // Eyes beside the lens look out of that side; a person looks into the room that is left free.
  const looks = framing.shot.eyeLine?.side === 'beside' && (framing.eyeLineDeg ?? 0) > 5;
  const wantedHeight =
    framing.wanted?.of === 'height'
      ? framing.wanted.m
      : framing.wanted
        ? (framing.wanted.m * 9) / 16
        : null;
  const scaleM =
    heightM > 6 ? 2 : heightM > 3 ? 1 : heightM > 1.5 ? 0.5 : heightM > 0.6 ? 0.25 : 0.1;
  const eyes = isPerson ? heightM / 3 : heightM / 2;
  const wanted =
    wantedHeight !== null && known && Math.abs(framing.misfit ?? 0) > 0.02
      ? {
          x: widthM / 2 - (wantedHeight * 8) / 9,
          y: eyes - wantedHeight * (isPerson ? 1 / 3 : 1 / 2),
          width: (wantedHeight * 16) / 9,
          height: wantedHeight,
        }
      : null;
  // Far enough back to see the frame and the one that is wanted.
  const left = Math.min(0, wanted?.x ?? 0) - unit;
  const top = Math.min(0, wanted?.y ?? 0) - unit;
  const right = Math.max(widthM, (wanted?.x ?? 0) + (wanted?.width ?? 0)) + unit;
  const bottom = Math.max(heightM, (wanted?.y ?? 0) + (wanted?.height ?? 0)) + unit;
  return (
    <Box>
      <svg
        viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
        role="img"
        aria-label={described(framing)}
        style={{
          display: 'block',
          width: '100%',
          maxHeight: '250px',
          background: 'var(--chakra-colors-paper-deep)',
          opacity: known ? 1 : 0.6,
        }}
      >
        <rect width={widthM} height={heightM} fill="var(--chakra-colors-paper-card)" />
        <FrameContent drawn={drawn} />
        {wanted && (
          <path
            d={`M${left} ${top} H${right} V${bottom} H${left} Z M0 0 V${heightM} H${widthM} V0 Z`}
            fill="var(--chakra-colors-paper-deep)"
            fillOpacity={0.6}
            fillRule="evenodd"
          />
        )}
        <rect
          width={widthM}
          height={heightM}
          fill="none"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={unit}
        />
        {wanted && (
          <rect
            {...wanted}
            fill="none"
            stroke={ACCENT}
            strokeWidth={unit * 0.8}
            strokeDasharray={`${unit * 3} ${unit * 2}`}
          />
        )}
        {isPerson && crown > 0.01 && (
          <g stroke={ACCENT} strokeWidth={unit * 0.6}>
            <line x1={widthM / 2 + 0.16} x2={widthM / 2 + 0.16} y1={0} y2={crown} />
            <line x1={widthM / 2 + 0.13} x2={widthM / 2 + 0.19} y1={crown} y2={crown} />
          </g>
        )}
        {looks && isPerson && (
          <path
            d={
              `M${widthM / 2 + 0.12} ${eyes} h${widthM * 0.2} m${-unit * 4} ${-unit * 3} ` +
              `l${unit * 4} ${unit * 3} l${-unit * 4} ${unit * 3}`
            }
            fill="none"
            stroke={ACCENT}
            strokeWidth={unit * 0.8}
          />
        )}
        <g stroke={SOFT} strokeWidth={unit * 0.8}>
          <path
            d={
              `M${unit * 5} ${heightM - unit * 7} v${unit * 3} m0 ${-unit * 1.5} h${scaleM} m0 ` +
              `${-unit * 1.5} v${unit * 3}`
            }
            fill="none"
          />
          {/* Browsers do not draw letters of a few hundredths of a unit, so they are drawn large and made small. */}
          <text
            transform={`translate(${unit * 5} ${heightM - unit * 9}) scale(${unit})`}
            style={{ fontSize: '6px' }}
            fill="var(--chakra-colors-ink)"
            stroke="none"
            className="figures"
          >
            {scaleM} m
          </text>
        </g>
      </svg>
      <Text fontSize="xs" color="ink.soft" mt="1">
        {known
          ? 'Drawn to scale; people of usual size, eyes a third ' +
            `down.${wanted ? ' Dashed: the shot that is wanted.' : ''}`
          : 'The shot as it is wanted. Measure the distance to see what is framed.'}
      </Text>
    </Box>
  );
};
