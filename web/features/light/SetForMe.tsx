'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Analysis,
  LIGHT_AIMS,
  type LightAim,
  type LightAnswer,
  type LightCure,
  seenFaces,
  type SimpleCommand,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { useTask } from '@/workers/useTask';
import { InSets } from './InSets';
import { Missed } from './Missed';
import { ToBuy } from './ToBuy';
import { USUAL_WISH, wishOf } from './wish';

const AIMS: Readonly<Record<LightAim, string>> = {
  power: 'Least power',
  lamps: 'Fewest lamps',
  glare: 'Least light in eyes',
};

const isAim = (value: string): value is LightAim => LIGHT_AIMS.some((aim) => aim === value);

const EVERYBODY = 'everybody';
const EVERY_SET = 'every set';

interface Takes {
  readonly onTake: (label: string, commands: readonly SimpleCommand[]) => void;
}

const Answer = ({ answer, onTake }: Takes & { readonly answer: LightAnswer }) => (
  <Box mt="2">
    <Missed answer={answer} />
    <PlainTable
      label="Dimmers that were found"
      headings={['Lamp', 'Now', 'To']}
      lines={answer.levels.map(({ id, name, now, to }) => ({
        id,
        head: name,
        cells: [`${now.toFixed(1)} %`, `${to.toFixed(1)} %`],
      }))}
    />
    <Button
      size="sm"
      mt="1.5"
      bg="madder"
      color="madder.ink"
      disabled={answer.commands.length === 0}
      onClick={() => onTake('Set the light', answer.commands)}
    >
      {answer.commands.length === 0
        ? 'The lamps are set so already'
        : answer.isMet
          ? 'Set the lamps so'
          : 'Set the lamps as near as they come'}
    </Button>
  </Box>
);

const Cures = ({ cures, onTake }: Takes & { readonly cures: readonly LightCure[] }) =>
  cures.length === 0 ? (
    <Text fontSize="sm" mt="2">
      No single change was found that makes it possible: cameras opened, other modifiers, lamps
      brought closer and lamps carried elsewhere were each tried.
    </Text>
  ) : (
    <Box mt="2">
      <Text fontSize="sm" fontWeight="600">
        What makes it possible, cheapest first
      </Text>
      <Flex as="ul" direction="column" gap="1.5" listStyleType="none">
        {cures.map((cure) => (
          <Flex as="li" key={cure.label} gap="2" align="center">
            <Text fontSize="sm" flex="1">
              {cure.label}, then {Math.round(cure.watts)} W
            </Text>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Do it: ${cure.label}`}
              onClick={() => onTake(cure.label, cure.commands)}
            >
              Do it
            </Button>
          </Flex>
        ))}
      </Flex>
    </Box>
  );

/** Every dimmer at once, by a linear programme; and where that is not possible, what stands in the way. */
export const SetForMe = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [typed, setTyped] = useState(USUAL_WISH);
  const [asked, setAsked] = useState(false);
  const wish = wishOf(typed);
  const key = asked ? JSON.stringify(wish) : null;
  const { isInSets } = typed;
  const hasSets = Object.keys(analysis.rig.sets).length > 1;
  const found = useTask({
    analysis,
    key: isInSets ? null : key,
    ask: (tasks) => tasks.setLight(wish),
  });
  const inSets = useTask({
    analysis,
    key: isInSets ? key : null,
    ask: (tasks) => tasks.setLightInSets(wish),
    isLong: true,
  });
  const answer = found.state === 'done' ? found.value : null;
  const wantsCures = answer !== null && !answer.isMet;
  const cures = useTask({
    analysis,
    key: wantsCures ? key : null,
    ask: (tasks) => tasks.lightCures(wish),
    isLong: true,
  });
  const take = (label: string, commands: readonly SimpleCommand[]) =>
    run({ type: 'batch', label, commands: [...commands] });
  const faces = seenFaces(analysis);
  return (
    <Box as="section" aria-label="Set it for me">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Set it for me
      </Text>
      <ChoiceField
        label="With"
        value={typed.aim}
        options={LIGHT_AIMS.map((value) => ({ value, label: AIMS[value] }))}
        onChoose={(value) => isAim(value) && setTyped({ ...typed, aim: value })}
      />
      <ChoiceField
        label="For"
        value={isInSets ? EVERY_SET : (typed.personId ?? EVERYBODY)}
        options={[
          { value: EVERYBODY, label: 'Everybody who is seen' },
          ...(hasSets ? [{ value: EVERY_SET, label: 'Everybody, in every set' }] : []),
          ...faces.map(({ personId, name }) => ({ value: personId, label: name })),
        ]}
        onChoose={(value) =>
          setTyped({
            ...typed,
            personId: value === EVERYBODY || value === EVERY_SET ? null : value,
            isInSets: value === EVERY_SET,
          })
        }
      />
      <NumberField
        label="On each face"
        unit="lux"
        min={1}
        max={100_000}
        mayBeUnknown
        whenEmpty="camera"
        value={typed.faceLux}
        onCommit={(faceLux) => setTyped({ ...typed, faceLux })}
      />
      <Button
        size="sm"
        mt="1.5"
        bg="madder"
        color="madder.ink"
        onClick={() => setAsked(true)}
        disabled={asked}
      >
        Set it for me
      </Button>
      {(found.state === 'working' || inSets.state === 'working') && (
        <Text fontSize="sm" aria-live="polite">
          Working it out …
        </Text>
      )}
      {found.state === 'failed' && (
        <Text fontSize="sm">It could not be worked out: {found.says}</Text>
      )}
      {found.state === 'done' && !answer && (
        <Text fontSize="sm" mt="1">
          There is no lamp to set, or nobody who is to be seen stands in the room.
        </Text>
      )}
      {inSets.state === 'failed' && (
        <Text fontSize="sm">It could not be worked out: {inSets.says}</Text>
      )}
      {inSets.state === 'done' && <InSets found={inSets.value} onTake={take} />}
      {answer && <Answer answer={answer} onTake={take} />}
      {cures.state === 'working' && wantsCures && (
        <Text fontSize="sm" aria-live="polite" mt="1">
          Trying what would make it possible …
        </Text>
      )}
      {cures.state === 'done' && <Cures cures={cures.value} onTake={take} />}
      <ToBuy analysis={analysis} wish={wish} onTake={take} />
    </Box>
  );
};
