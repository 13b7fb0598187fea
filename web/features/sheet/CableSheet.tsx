'use client';

import { Button, Flex, Text } from '@chakra-ui/react';
import { CABLES, entry, explain, figure, mate, type Analysis, type CableId } from '@echo-loom/core';
import { FindingCard } from '@/features/findings/FindingCard';
import { SumList } from '@/features/findings/SumList';
import { findingsOn, useLoomView } from '@/features/chosen/view';
import { usePointing } from '@/features/pointing/pointing';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { carriedOver } from './carried';
import { Carries } from './Carries';
import { FigureLine, Section } from '@/features/words/Section';

interface Props {
  readonly analysis: Analysis;
  readonly linkId: string;
}

/** Everything about one cable: findings, what it carries, its kind and length. */
export const CableSheet = ({ analysis, linkId }: Props) => {
  const { run } = useRigSession();
  const select = useLoomView((view) => view.select);
  const askFor = usePointing((pointing) => pointing.askFor);
  const edge = analysis.graph.links.get(linkId);
  const link = useRig((state) => entry(state.rig.links, linkId));
  if (!edge || !link) return null;
  const { cable } = link;
  const findings = findingsOn(analysis, { kind: 'link', id: linkId });
  const mating = mate(edge.from.port, edge.to.port);
  const kinds = mating.can
    ? mating.cables.map((id) => ({ value: id, label: CABLES[id].name }))
    : [];
  const branch = analysis.usb.links.get(linkId);
  const isCable = cable.kind !== 'inside';
  return (
    <>
      <Text fontSize="sm" color="ink.soft">
        {isCable ? CABLES[cable.kind].name : 'Inside the computer'}
      </Text>
      <Text as="h2" fontSize="lg" fontWeight="600" lineHeight="1.3">
        {analysis.device(edge.from.device).name} → {analysis.device(edge.to.device).name}
      </Text>
      <Text fontSize="sm" color="ink.soft">
        {edge.from.port.name} to {edge.to.port.name}
      </Text>
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mt="3">
          {findings.map((finding, index) => (
            <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
      <Section title="Carries">
        {branch && (
          <FigureLine
            name="USB load"
            value={`${figure(branch.loadMBps)} of ${branch.limitMBps} MB/s`}
          />
        )}
        <Carries analysis={analysis} stages={carriedOver(analysis, linkId)} />
      </Section>
      {isCable && (
        <Section title="Cable">
          <Flex direction="column" gap="1.5">
            <ChoiceField
              label="Kind"
              value={cable.kind}
              options={kinds}
              onChoose={(kind) =>
                run({
                  type: 'setCable',
                  linkId,
                  cable: { kind: kind as CableId, lengthM: cable.lengthM },
                })
              }
            />
            <NumberField
              label="Length"
              unit="m"
              value={cable.lengthM}
              min={0}
              max={5000}
              step={0.5}
              onCommit={(lengthM) =>
                lengthM !== null &&
                run({ type: 'setCable', linkId, cable: { kind: cable.kind, lengthM } })
              }
            />
          </Flex>
          <SumList sums={explain(analysis, { figure: 'reach', linkId })} open={false} />
        </Section>
      )}
      <Flex gap="2" mt="4">
        <Button size="sm" variant="outline" onClick={() => askFor({ ask: 'what between', linkId })}>
          Put something in between…
        </Button>
        <Button
          size="sm"
          variant="outline"
          onClick={() => {
            if (run({ type: 'disconnect', linkId })) select(null);
          }}
        >
          Disconnect
        </Button>
      </Flex>
    </>
  );
};
