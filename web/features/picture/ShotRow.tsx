'use client';

import { oneOf, SHOT_OPTIONS } from '@/features/brief/words';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { LevelMark } from '@/ui/LevelMark';
import { NumberField } from '@/ui/NumberField';
import { Box, Button, Table, Text } from '@chakra-ui/react';
import { type Analysis, figure, freeId, SHOTS, USUAL_SHOT, entry } from '@echo-loom/core';
import type { SourceRow } from './rows';

interface RowProps {
  readonly analysis: Analysis;
  readonly row: SourceRow;
  readonly isChosen: boolean;
  readonly onChoose: (deviceId: string) => void;
}

export const Row = ({ analysis, row, isChosen, onChoose }: RowProps) => {
  const { run } = useRigSession();
  const { deviceId, name, framing } = row;
  const { rig } = analysis;
  const device = rig.devices[deviceId];
  const worst = analysis.findings.find(
    ({ about, area }) => area === 'picture' && about.deviceId === deviceId,
  )?.level;
  const shotId = framing?.shotId ?? '';
  const typed = entry(rig.shots, shotId)?.distanceM ?? null;
  const focal = framing?.camera ? device?.model.controls[framing.camera.focalControl] : undefined;
  const plan = () =>
    run({
      type: 'addShot',
      shotId: freeId(deviceId, { ...rig.shots, ...rig.scenes }),
      shot: {
        ...USUAL_SHOT,
        deviceId,
        personId: device?.personId ?? null,
        sightId: device?.sightId ?? null,
        wanted:
          rig.people[device?.personId ?? '']?.shot ??
          rig.brief?.sights[device?.sightId ?? '']?.shot ??
          'head and shoulders',
      },
    });
  return (
    <Table.Row bg={isChosen ? 'madder.wash' : 'transparent'} data-source={deviceId}>
      <Table.Cell p="0">
        <Box
          asChild
          p="1.5"
          minH="10"
          width="100%"
          textAlign="start"
          cursor="pointer"
          display="block"
        >
          <button type="button" aria-pressed={isChosen} onClick={() => onChoose(deviceId)}>
            <Text
              as="span"
              display="flex"
              gap="1.5"
              alignItems="center"
              fontWeight="600"
              fontSize="sm"
              lineHeight="1.2"
            >
              {worst && <LevelMark level={worst} size={12} />}
              {name}
            </Text>
            <Text as="span" display="block" fontSize="xs" color="ink.soft">
              {row.shows || 'shows nothing of the brief'}
            </Text>
          </button>
        </Box>
      </Table.Cell>
      <Table.Cell px="1">
        <ChoiceField
          inCell
          width="98px"
          label={`Format of ${name}`}
          value={row.format}
          options={row.options}
          onChoose={(value) =>
            run({ type: 'setControl', deviceId, control: row.formatControl, value })
          }
        />
        <Text
          fontSize="xs"
          color="ink.soft"
          className="figures"
          whiteSpace="nowrap"
          data-sends={deviceId}
        >
          {row.sends === null ? 'not plugged in' : `sends ${row.sends}`}
        </Text>
      </Table.Cell>
      {row.isFurther ? (
        <Table.Cell colSpan={4} px="1">
          <Text fontSize="xs" color="ink.soft">
            {row.isCamera ? 'the same shot' : 'fills its picture'}
          </Text>
        </Table.Cell>
      ) : framing ? (
        <>
          <Table.Cell px="1">
            <ChoiceField
              inCell
              width="132px"
              label={`Shot of ${name}`}
              value={framing.shot.wanted}
              options={SHOT_OPTIONS}
              onChoose={(value) =>
                run({ type: 'changeShot', shotId, shot: { wanted: oneOf(SHOTS, value) } })
              }
            />
          </Table.Cell>
          <Table.Cell px="1">
            <NumberField
              inCell
              mayBeUnknown
              label={`Distance of ${name}`}
              unit="m"
              step={0.1}
              min={0.01}
              max={1000}
              value={typed}
              whenEmpty={framing.shot.distanceM?.toFixed(2) ?? '?'}
              onCommit={(distanceM) => run({ type: 'changeShot', shotId, shot: { distanceM } })}
            />
          </Table.Cell>
          <Table.Cell px="1">
            {framing.camera && focal?.type === 'amount' && (
              <NumberField
                inCell
                label={`Focal length of ${name}`}
                unit="mm"
                step={1}
                min={focal.min}
                max={focal.max}
                value={framing.focalMm}
                onCommit={(value) =>
                  value !== null &&
                  framing.camera &&
                  run({ type: 'setControl', deviceId, control: framing.camera.focalControl, value })
                }
              />
            )}
          </Table.Cell>
          <Table.Cell
            px="1"
            className="figures"
            fontSize="0.75rem"
            whiteSpace="nowrap"
            data-frames={deviceId}
          >
            {framing.widthM === null || framing.heightM === null
              ? 'not known'
              : `${figure(framing.widthM, 2)} × ${figure(framing.heightM, 2)}`}
          </Table.Cell>
        </>
      ) : (
        <Table.Cell colSpan={4} px="1">
          {row.isCamera ? (
            <Button
              size="xs"
              variant="outline"
              onClick={() => {
                if (plan()) onChoose(deviceId);
              }}
            >
              Plan its shot
            </Button>
          ) : (
            <Text fontSize="xs" color="ink.soft">
              fills its picture
            </Text>
          )}
        </Table.Cell>
      )}
    </Table.Row>
  );
};
