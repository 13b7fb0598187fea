'use client';

import { Button } from '@chakra-ui/react';
import { durationText } from '@echo-loom/core';
import Link from 'next/link';
import { useState } from 'react';
import type { RunLine } from '@/session/protocol';
import { PlainTable } from '@/ui/PlainTable';
import { RunFiles } from './RunFiles';
import { momentText } from './useLogbook';

const lastedText = ({ liveMs, endedMs, stage }: RunLine): string =>
  liveMs === null
    ? 'not live'
    : stage === 'live'
      ? 'live'
      : durationText(((endedMs ?? liveMs) - liveMs) / 1000);

/** Runs that were, the latest first; each can be opened and taken out. */
export const Logbook = ({
  rigId,
  runs,
}: {
  readonly rigId: string;
  readonly runs: readonly RunLine[];
}) => {
  const [chosen, setChosen] = useState<string | null>(null);
  const open = runs.find(({ id }) => id === chosen);
  return (
    <>
      <PlainTable
        label="Logbook"
        headings={['Run', 'By', 'Lasted', 'Over', 'Ticked', 'Marks', 'Incidents', '']}
        lines={runs.map((run) => {
          const { id, plan, liveMs, endedMs, at, ticked, marks, incidents, overruled } = run;
          const over =
            liveMs !== null && endedMs !== null && plan.lengthMin !== null
              ? durationText((endedMs - liveMs) / 1000 - plan.lengthMin * 60)
              : '–';
          return {
            id,
            head: (
              <Link href={`/rigs/${rigId}/runs/${id}`} style={{ textDecoration: 'underline' }}>
                {`${momentText(liveMs ?? Date.parse(at))}${plan.clock.is === 'simulated' ? ', rehearsal' : ''}`}
              </Link>
            ),
            cells: [
              plan.by,
              lastedText(run),
              over,
              `${ticked} of ${plan.lines.length}`,
              marks,
              [...incidents, ...(overruled === null ? [] : [`live overruled: ${overruled}`])].join(
                '; ',
              ) || '–',
              <Button
                key="files"
                size="xs"
                variant="outline"
                aria-expanded={chosen === id}
                onClick={() => setChosen(chosen === id ? null : id)}
              >
                Take out
              </Button>,
            ],
          };
        })}
      />
      {open && <RunFiles key={open.id} rigId={rigId} run={open} />}
    </>
  );
};
