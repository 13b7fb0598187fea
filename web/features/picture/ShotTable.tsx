'use client';

import { Box, Button, Table, Text } from '@chakra-ui/react';
import { figure, freeId, SHOTS, USUAL_SHOT, type Analysis } from '@echo-loom/core';
import { oneOf, SHOT_OPTIONS } from '@/features/brief/words';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { LevelMark } from '@/ui/LevelMark';
import { NumberField } from '@/ui/NumberField';
import type { SourceRow } from './rows';

interface RowProps {
  readonly analysis: Analysis;
  readonly row: SourceRow;
  readonly isChosen: boolean;
  readonly onChoose: (deviceId: string) => void;
}

const Row = ({ analysis, row, isChosen, onChoose }: RowProps) => {
  const { run } = useRigSession();
  const { deviceId, name, framing } = row;
  const { rig } = analysis;
  const device = rig.devices[deviceId];
  const worst = analysis.findings.find(
    ({ about, area }) => area === 'picture' && about.deviceId === deviceId,
  )?.level;
  const shotId = framing?.shotId ?? '';
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
      {framing ? (
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
              value={framing.shot.distanceM}
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
            fontSize="12px"
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

interface Props {
  readonly analysis: Analysis;
  readonly rows: readonly SourceRow[];
  readonly chosen: string | null;
  readonly onChoose: (deviceId: string) => void;
}

/**
 * Every source of pictures with what it sends, and what each camera is to frame: all of it editable
 * where it stands.
 */
export const ShotTable = ({ analysis, rows, chosen, onChoose }: Props) => (
  <Box overflowX="auto">
    <Table.Root size="sm" variant="outline" aria-label="Sources and shots">
      <Table.Header>
        <Table.Row bg="paper.deep">
          {['Source', 'Format', 'Shot', 'Distance', 'Lens', 'Frames, m'].map((heading) => (
            <Table.ColumnHeader key={heading} px="1.5">
              {heading}
            </Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {rows.map((row) => (
          <Row
            key={`${row.deviceId} ${row.formatControl}`}
            analysis={analysis}
            row={row}
            isChosen={row.deviceId === chosen}
            onChoose={onChoose}
          />
        ))}
      </Table.Body>
    </Table.Root>
  </Box>
);
