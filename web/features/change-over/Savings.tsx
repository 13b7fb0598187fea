import { Box, Text } from '@chakra-ui/react';
import type { Saving } from '@echo-loom/core';
import type { ChangeOverAnswer } from '@/workers/answers';
import { clockText } from './Timeline';

const TOLD = 4;

const savedText = ({ sooner, workMin }: Saving): string =>
  sooner === null || sooner < 0.01
    ? `${clockText(workMin)} of work`
    : `${clockText(sooner)} sooner, ${clockText(workMin)} of work`;

/** What would make it shorter: cables that stay plugged, places that are marked. */
export const Savings = ({
  answer: { plugged, marked },
  names,
}: {
  readonly answer: ChangeOverAnswer;
  readonly names: ReadonlyMap<string, string>;
}) =>
  [['What should stay plugged', plugged] as const, ['Which marks save most', marked] as const].map(
    ([title, list]) =>
      list.length === 0 ? null : (
        <Box as="section" key={title} aria-label={title} mt="4">
          <Text as="h3" fontWeight="600">
            {title}
          </Text>
          <Box as="ul" listStyleType="none" fontSize="sm">
            {list.slice(0, TOLD).map((saving) => (
              <li key={saving.id}>
                {(names.get(saving.id) ?? saving.id).replace(/^Plug /, '')}
                <Text as="span" className="figures" color="ink.soft">
                  {`: ${savedText(saving)}`}
                </Text>
              </li>
            ))}
          </Box>
        </Box>
      ),
  );
