import type { SmallPicture } from '@/layout/small-picture';

/** A small picture of a rig: its loom without words. */
export const RigPicture = ({ of }: { readonly of: SmallPicture }) => (
  <svg
    viewBox={`0 20 ${of.width} ${of.height}`}
    width="100%"
    height="104"
    preserveAspectRatio="xMinYMid meet"
    aria-hidden
  >
    {(['analogue', 'data', 'picture'] as const).map((family) => (
      <path
        key={family}
        d={of[family]}
        fill="none"
        stroke={`var(--chakra-colors-thread-${family})`}
        strokeWidth={family === 'picture' ? 7 : 4}
      />
    ))}
    <path
      d={of.devices}
      fill="var(--chakra-colors-paper-deep)"
      stroke="var(--chakra-colors-rule-strong)"
      strokeWidth="2.5"
      strokeLinejoin="round"
    />
  </svg>
);
