'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entry, type Analysis, type Framing, type ShotPlan } from '@echo-loom/core';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { drawnOf } from './FrameContent';
import { FramePreview } from './FramePreview';
import { framingLines } from './words';

const SIDES = [
  { value: 'lens', label: 'Into the lens' },
  { value: 'beside', label: 'Beside the lens' },
  { value: 'below', label: 'Below the lens' },
  { value: 'above', label: 'Above the lens' },
];
/** A first guess of where something beside the lens stands, to be typed over. @unit m */
const USUAL_OFFSET_M = 0.12;

/** The fields of a shot that are not in the table. */
const ShotFields = ({ framing }: { readonly framing: Framing }) => {
  const { run } = useRigSession();
  const { shot, shotId, camera, device } = framing;
  const change = (changes: Partial<Omit<ShotPlan, 'order'>>) =>
    run({ type: 'changeShot', shotId, shot: changes });
  const look = (side: string) => {
    if (side === 'lens') change({ eyeLine: null });
    else if (side === 'beside' || side === 'below' || side === 'above')
      change({
        eyeLine: {
          offsetM: shot.eyeLine?.offsetM ?? USUAL_OFFSET_M,
          distanceM: shot.eyeLine?.distanceM ?? shot.distanceM ?? 1,
          side,
        },
      });
  };
  const optics = camera
    ? ([
        ['fNumberControl', 'Aperture'],
        ['shutterControl', 'Shutter'],
        ['isoControl', 'Sensitivity'],
      ] as const)
    : [];
  return (
    <Flex direction="column" gap="1.5">
      {shot.wanted === 'two-shot' && (
        <NumberField
          label="Between the two seats"
          unit="m"
          mayBeUnknown
          step={0.1}
          min={0.01}
          max={100}
          value={shot.seatSpacingM}
          onCommit={(seatSpacingM) => change({ seatSpacingM })}
        />
      )}
      <NumberField
        label="The camera can go back to"
        unit="m"
        mayBeUnknown
        step={0.1}
        min={0.01}
        max={1000}
        value={shot.furthestM}
        onCommit={(furthestM) => change({ furthestM })}
      />
      <NumberField
        label="Background behind the subject"
        unit="m"
        mayBeUnknown
        step={0.1}
        min={0.01}
        max={1000}
        value={shot.backgroundM}
        onCommit={(backgroundM) => change({ backgroundM })}
      />
      <NumberField
        label="Light on the subject"
        unit="lux"
        mayBeUnknown
        step={10}
        min={0}
        max={200000}
        value={shot.lightLux}
        onCommit={(lightLux) => change({ lightLux })}
      />
      {optics.map(([key, label]) => {
        const control = camera ? entry(device.model.controls, camera[key]) : undefined;
        const value = camera
          ? (device.settings[camera[key]] ?? (control?.type === 'amount' ? control.initial : null))
          : null;
        return control?.type === 'amount' && camera ? (
          <NumberField
            key={key}
            label={label}
            hint={` ${control.label.replace(/^.*, |^Shutter /, '')}`}
            unit={control.unit}
            min={control.min}
            max={control.max}
            step={control.step}
            value={typeof value === 'number' ? value : null}
            onCommit={(next) =>
              next !== null &&
              run({
                type: 'setControl',
                deviceId: shot.deviceId,
                control: camera[key],
                value: next,
              })
            }
          />
        ) : null;
      })}
      <NumberField
        label="Cut tighter afterwards"
        unit="×"
        step={0.1}
        min={1}
        max={10}
        value={shot.punchIn}
        onCommit={(punchIn) => punchIn !== null && change({ punchIn })}
      />
      <NumberField
        label="Travels on a slider"
        unit="m"
        mayBeUnknown
        whenEmpty="not"
        step={0.1}
        min={0.01}
        max={100}
        value={shot.travelM}
        onCommit={(travelM) => change({ travelM })}
      />
      <ChoiceField
        label="Looks"
        value={shot.eyeLine?.side ?? 'lens'}
        options={SIDES}
        onChoose={look}
      />
      {shot.eyeLine && (
        <>
          <NumberField
            label="Lens to what is looked at"
            unit="cm"
            step={1}
            min={0}
            max={10000}
            value={Number((shot.eyeLine.offsetM * 100).toFixed(2))}
            onCommit={(cm) =>
              cm !== null &&
              shot.eyeLine &&
              change({ eyeLine: { ...shot.eyeLine, offsetM: cm / 100 } })
            }
          />
          <NumberField
            label="Eyes to lens"
            unit="m"
            step={0.1}
            min={0.01}
            max={1000}
            value={shot.eyeLine.distanceM}
            onCommit={(distanceM) =>
              distanceM !== null &&
              shot.eyeLine &&
              change({ eyeLine: { ...shot.eyeLine, distanceM } })
            }
          />
        </>
      )}
    </Flex>
  );
};

interface Props {
  readonly analysis: Analysis;
  readonly framing: Framing;
}

/** The frame of one shot to scale beside its figures. */
export const ShotFrame = ({ analysis, framing }: Props) => {
  const { shot, device } = framing;
  const person = shot.personId === null ? undefined : entry(analysis.rig.people, shot.personId);
  const sight =
    shot.sightId === null ? undefined : entry(analysis.rig.brief?.sights ?? {}, shot.sightId);
  return (
    <Box role="region" aria-label={`Shot of ${device.name}`}>
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        {device.name}
        {person || sight ? `: ${person?.name ?? sight?.name ?? ''}` : ''}
      </Text>
      <FramePreview
        framing={framing}
        drawn={drawnOf(framing, person?.posture ?? 'stands', sight?.what ?? null)}
      />
      <Box
        as="dl"
        mt="2"
        fontSize="13px"
        columnCount={2}
        columnGap="5"
        aria-label={`Figures of the shot of ${device.name}`}
      >
        {framingLines(framing).map(([label, value]) => (
          <Flex
            key={label}
            justify="space-between"
            gap="2"
            py="0.5"
            borderBottomWidth="1px"
            borderColor="rule"
            css={{ breakInside: 'avoid' }}
          >
            <Text as="dt" color="ink.soft" lineHeight="1.35">
              {label}
            </Text>
            <Text as="dd" className="figures" fontSize="12px" textAlign="end" lineHeight="1.5">
              {value}
            </Text>
          </Flex>
        ))}
      </Box>
    </Box>
  );
};

/** What is wrong with one shot, and everything that decides it. */
export const ShotDetails = ({ analysis, framing }: Props) => {
  const { run } = useRigSession();
  const { shotId, device } = framing;
  const findings = analysis.findings.filter(({ about }) => about.shotId === shotId);
  return (
    <Box role="region" aria-label={`What decides the shot of ${device.name}`} mt="4">
      <Flex justify="space-between" align="baseline" mb="1.5">
        <Text as="h2" fontSize="lg" fontWeight="600">
          {device.name}
        </Text>
        <Button size="xs" variant="outline" onClick={() => run({ type: 'removeShot', shotId })}>
          Remove the shot
        </Button>
      </Flex>
      {findings.length > 0 && (
        <Flex direction="column" gap="2.5" mb="3">
          {findings.map((finding) => (
            <FindingCard key={finding.code} analysis={analysis} finding={finding} />
          ))}
        </Flex>
      )}
      <ShotFields framing={framing} />
    </Box>
  );
};
