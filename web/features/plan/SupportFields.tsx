'use client';

import { type Analysis, entry, type SupportFigures, supportFiguresSchema } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';

interface FieldOf {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly step: number;
}

const of = (key: string, label: string, unit: string, step: number): FieldOf => ({
  key,
  label,
  unit,
  step,
});

const SIZE = [of('widthM', 'Width', 'm', 0.05), of('depthM', 'Depth', 'm', 0.05)];
const BEARS = of('bearsKg', 'Bears', 'kg', 1);

/** The figures that are typed of each kind of support. */
const FIELDS: Readonly<Record<SupportFigures['is'], readonly FieldOf[]>> = {
  desk: [
    ...SIZE,
    of('topM', 'Top over the floor', 'm', 0.01),
    of('lowestM', 'Goes down to', 'm', 0.01),
    of('highestM', 'Goes up to', 'm', 0.01),
    of('edgeMm', 'Edge', 'mm', 1),
    BEARS,
  ],
  rack: [of('units', 'Units', 'U', 1), of('depthM', 'Depth', 'm', 0.05), BEARS],
  stand: [
    of('heightM', 'Height', 'm', 0.05),
    of('feet', 'Feet', '', 1),
    of('legM', 'Column to foot', 'm', 0.01),
    of('massKg', 'Mass', 'kg', 0.1),
    BEARS,
    of('ballastKg', 'Bag on the foot opposite', 'kg', 0.5),
    of('counterKg', 'Counterweight', 'kg', 0.1),
    of('counterAtM', 'Counterweight from the column', 'm', 0.05),
  ],
  arm: [
    of('reachM', 'Reach', 'm', 0.05),
    of('leastKg', 'Holds from', 'kg', 0.05),
    of('mostKg', 'Holds up to', 'kg', 0.05),
    of('clampLeastMm', 'Clamp from', 'mm', 1),
    of('clampMostMm', 'Clamp to', 'mm', 1),
  ],
  overhead: [...SIZE, of('heightM', 'Underside', 'm', 0.05), BEARS],
  wall: [of('heightM', 'Height', 'm', 0.05), BEARS],
};

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;

/** The figures of a support, typical until they are typed over. What is no figure of one is refused where it stands. */
export const SupportFields = ({
  analysis,
  id,
}: {
  readonly analysis: Analysis;
  readonly id: string;
}) => {
  const { run } = useRigSession();
  const support = entry(analysis.rig.supports, id);
  if (!support) return null;
  const { figures, onId } = support;
  const change = (next: object) => {
    const read = supportFiguresSchema.safeParse({ ...figures, ...next });
    if (read.success)
      run({ type: 'changeSupport', supportId: id, support: { figures: read.data } });
  };
  const values: Readonly<Record<string, unknown>> = figures;
  const desks = Object.entries(analysis.rig.supports).filter(
    ([, one]) => one.figures.is === 'desk',
  );
  return (
    <>
      {FIELDS[figures.is].map(({ key, label, unit, step }) => (
        <NumberField
          key={key}
          label={label}
          unit={unit}
          step={step}
          min={0}
          max={1000}
          isWhole={key === 'units' || key === 'feet'}
          value={typeof values[key] === 'number' ? values[key] : null}
          onCommit={(value) => value !== null && change({ [key]: value })}
        />
      ))}
      {figures.is === 'stand' && (
        <NumberField
          label="Its arm reaches"
          unit="m"
          step={0.05}
          min={0.05}
          max={10}
          mayBeUnknown
          whenEmpty="none"
          value={figures.out?.reachM ?? null}
          onCommit={(reachM) =>
            change({
              out:
                reachM === null ? null : { massKg: 1, massAtM: reachM / 2, ...figures.out, reachM },
            })
          }
        />
      )}
      {figures.is === 'stand' && figures.out && (
        <>
          <NumberField
            label="Mass of its arm"
            unit="kg"
            step={0.1}
            min={0}
            max={100}
            value={figures.out.massKg}
            onCommit={(massKg) => massKg !== null && change({ out: { ...figures.out, massKg } })}
          />
          <NumberField
            label="Which pulls at"
            unit="m"
            step={0.05}
            min={0}
            max={10}
            value={figures.out.massAtM}
            onCommit={(massAtM) => massAtM !== null && change({ out: { ...figures.out, massAtM } })}
          />
        </>
      )}
      {figures.is === 'overhead' && (
        <ChoiceField
          label="Second fixings"
          value={figures.hasSecondFixing ? 'yes' : 'no'}
          options={YES_NO}
          onChoose={(value) => change({ hasSecondFixing: value === 'yes' })}
        />
      )}
      {figures.is === 'arm' && (
        <ChoiceField
          label="Clamped to"
          value={onId ?? ''}
          options={[
            { value: '', label: 'nothing' },
            ...desks.map(([value, { name }]) => ({ value, label: name })),
          ]}
          onChoose={(value) =>
            run({
              type: 'changeSupport',
              supportId: id,
              support: { onId: value === '' ? null : value },
            })
          }
        />
      )}
    </>
  );
};
