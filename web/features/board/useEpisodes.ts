import { EPISODE_STEPS, type EpisodeStep } from '@echo-loom/core';
import { useEffect, useState } from 'react';
import { serverNowMs, useLogbook } from '@/features/run/useLogbook';
import { addToRun } from '@/session/logbook';
import type { RunLine } from '@/session/protocol';

export interface Episode {
  readonly run: RunLine;
  readonly step: EpisodeStep;
}

/** How often the board looks for what others moved. @unit ms */
const LOOK_EVERY_MS = 5000;

const stepOf = ({ moves }: RunLine): EpisodeStep => moves.at(-1)?.step ?? 'recorded';

/** Where every show that was live stands, and its moving on: shown at once, put back where it is not taken. */
export const useEpisodes = (rigId: string, by: string) => {
  const { logbook, again } = useLogbook(rigId);
  const [moving, setMoving] = useState<ReadonlyMap<string, EpisodeStep>>(new Map());
  const [says, setSays] = useState<string | null>(null);
  const [told, setTold] = useState('');
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void again();
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [again]);
  const runs = logbook.state === 'there' ? logbook.runs : [];
  const episodes = runs
    .filter(({ liveMs }) => liveMs !== null)
    .map((run): Episode => ({ run, step: moving.get(run.id) ?? stepOf(run) }));
  const move = async (runId: string, step: EpisodeStep) => {
    const episode = episodes.find(({ run }) => run.id === runId);
    if (!episode || logbook.state !== 'there' || episode.step === step) return;
    if (by.trim() === '') {
      setSays('Say who moves it: the name stands beside every step.');
      return;
    }
    setSays(null);
    setMoving((before) => new Map([...before, [runId, step]]));
    // The server's clock is known to within an answer's way: a step is never earlier than the one before it.
    const nowMs = Math.max(serverNowMs(logbook), (episode.run.moves.at(-1)?.atMs ?? 0) + 1);
    const refused = await addToRun(rigId, runId, by.trim(), nowMs, [{ is: 'moved', step }]);
    await again();
    setMoving((before) => new Map([...before].filter(([id]) => id !== runId)));
    setSays(refused);
    if (refused === null) setTold(`${episode.run.plan.name} is now: ${step}.`);
  };
  return { logbook, episodes, move, says, told };
};

/** The step before or after. @returns null where there is none */
export const stepBeside = (step: EpisodeStep, by: 1 | -1): EpisodeStep | null =>
  EPISODE_STEPS[EPISODE_STEPS.indexOf(step) + by] ?? null;
