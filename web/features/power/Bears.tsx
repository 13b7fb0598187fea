'use client';

import type { FeedFigures } from '@echo-loom/core';
import { NumberField } from '@/ui/NumberField';

interface BearsProps {
  readonly name: string;
  readonly figures: FeedFigures;
  readonly onChange: (figures: FeedFigures) => void;
}

/** What a strip bears, or what a supply gives and holds. */
export const Bears = ({ name, figures, onChange }: BearsProps) => {
  if (figures.is !== 'ups')
    return (
      <NumberField
        inCell
        mayBeUnknown
        label={`Amperes that ${name} bears`}
        unit="A"
        min={1}
        max={400}
        value={figures.mostA}
        onCommit={(mostA) => onChange({ ...figures, mostA })}
      />
    );
  const field = (key: 'mostW' | 'mostVa' | 'wh', label: string, unit: string) => (
    <NumberField
      inCell
      label={`${label} of ${name}`}
      unit={unit}
      min={1}
      max={100_000}
      value={figures[key]}
      onCommit={(value) => value !== null && onChange({ ...figures, [key]: value })}
    />
  );
  return (
    <>
      {field('mostW', 'Power', 'W')}
      {field('mostVa', 'Apparent power', 'VA')}
      {field('wh', 'Battery', 'Wh')}
    </>
  );
};
