'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type Happened, type IfDies, mayDie, type RunState } from '@echo-loom/core';
import { useState } from 'react';
import { type TaskState, useTask } from '@/workers/useTask';

interface Props {
  readonly analysis: Analysis;
  readonly state: RunState;
  readonly cards: TaskState<readonly IfDies[]>;
  readonly onHappened: (...happened: readonly Happened[]) => void;
}

const Card = ({
  card,
  isDead,
  onHappened,
  onClose,
}: {
  readonly card: IfDies;
  readonly isDead: boolean;
  readonly onHappened: Props['onHappened'];
  readonly onClose: () => void;
}) => (
  <Box as="section" aria-label={`If ${card.name} dies`}>
    <Button size="sm" minH="11" variant="ghost" onClick={onClose}>
      Back to the list
    </Button>
    <Text fontSize="2xl" fontWeight="600">
      {card.name}
    </Text>
    <Box as="ol" listStyleType="decimal" ps="6" my="2" fontSize="lg" lineHeight="1.35">
      {card.todo.map((what) => (
        <li key={what}>{what}</li>
      ))}
    </Box>
    <Flex gap="2">
      {isDead ? (
        <Button
          flex="1"
          minH="14"
          onClick={() => onHappened({ is: 'back', deviceId: card.deviceId })}
        >
          It is back
        </Button>
      ) : (
        <Button
          flex="1"
          minH="14"
          onClick={() =>
            onHappened(
              { is: 'incident', deviceId: card.deviceId, what: `${card.name} died` },
              { is: 'died', deviceId: card.deviceId },
            )
          }
        >
          It died: log it
        </Button>
      )}
    </Flex>
    {[
      ['Lost', card.lost],
      ['Scenes that cannot be made', card.scenesLost],
      ['Scenes that are left', card.scenesLeft.map(({ name }) => name)],
      ['Still there', card.still],
    ].map(([title, list]) =>
      list && list.length > 0 ? (
        <Box key={String(title)} mt="3">
          <Text fontSize="sm" color="ink.soft">
            {title}
          </Text>
          <Box as="ul" listStyleType="disc" ps="5">
            {[...list].map((text) => (
              <li key={text}>{text}</li>
            ))}
          </Box>
        </Box>
      ) : null,
    )}
  </Box>
);

/** If X dies: what to do, from the paths that remain. */
export const FailuresPart = ({ analysis, state, cards, onHappened }: Props) => {
  const [chosen, setChosen] = useState<string | null>(null);
  const dead = [...state.dead.keys()].sort();
  const others = dead.filter((id) => id !== chosen);
  const worse = useTask<IfDies>({
    analysis,
    key: chosen !== null && others.length > 0 ? `${chosen} beside ${others.join(' ')}` : null,
    ask: (tasks) => tasks.ifDies(chosen ?? '', others),
  });
  const known = cards.state === 'done' ? cards.value : [];
  const card =
    worse.state === 'done' ? worse.value : known.find(({ deviceId }) => deviceId === chosen);
  if (chosen !== null && card)
    return (
      <Card
        card={card}
        isDead={state.dead.has(chosen)}
        onHappened={onHappened}
        onClose={() => setChosen(null)}
      />
    );
  return (
    <Box>
      <Text fontSize="sm" color="ink.soft" mb="2">
        What died? The card says what to do, from the paths that remain.
      </Text>
      {cards.state === 'working' && (
        <Text role="status">
          {`Trying each failure… ${cards.tried} of ${Math.max(cards.of, mayDie(analysis.rig).length)}`}
        </Text>
      )}
      {cards.state === 'failed' && <Text role="alert">{cards.says}</Text>}
      {cards.state === 'done' && known.length === 0 && (
        <Text>Nothing in this rig takes anything along when it dies that was asked for.</Text>
      )}
      <Flex direction="column" gap="2">
        {known.map(({ deviceId, name, lost, scenesLost }) => (
          <Button
            key={deviceId}
            minH="14"
            variant="outline"
            justifyContent="space-between"
            borderColor={state.dead.has(deviceId) ? 'level.stop' : 'rule.strong'}
            onClick={() => setChosen(deviceId)}
          >
            <span>{state.dead.has(deviceId) ? `${name} · dead` : name}</span>
            <Text as="span" fontSize="sm" color="ink.soft">
              {`${lost.length + scenesLost.length} lost`}
            </Text>
          </Button>
        ))}
      </Flex>
    </Box>
  );
};
