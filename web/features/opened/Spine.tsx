import { Box, Button, Link as ChakraLink, Text } from '@chakra-ui/react';
import type { Area, Level } from '@echo-loom/core';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { LevelMark } from '@/ui/LevelMark';
import { GROUPS, VIEWS } from '@/features/rig/views';

/** The worst level of each view; the worst findings stand first in what it is told of. */
export const worstLevels = (
  found: readonly { readonly area: Area; readonly level: Level }[],
): (Level | undefined)[] =>
  VIEWS.map(
    ({ marks }) =>
      marks && found.find(({ area }) => marks === 'all' || marks.includes(area))?.level,
  );

interface SpineProps {
  readonly rigId: string;
  /** By the view, in the order of the spine */
  readonly levels: readonly (Level | undefined)[];
  readonly isOpen: boolean;
  readonly onGo: () => void;
}

/** The order of the work in groups: every view, with the worst finding in it. */
export const Spine = ({ rigId, levels, isOpen, onGo }: SpineProps) => {
  const pathname = usePathname();
  return (
    <Box
      as="nav"
      aria-label="Views of the rig"
      width={{ base: '220px', md: '148px' }}
      display={{ base: isOpen ? 'block' : 'none', md: 'block' }}
      position={{ base: 'absolute', md: 'static' }}
      zIndex="docked"
      insetY="0"
      left="0"
      bg="paper"
      overflowY="auto"
      flex="none"
      borderRightWidth="1px"
      borderColor="rule"
      pt="3"
      className="screen-only"
    >
      {GROUPS.map(({ name: group, views }) => (
        <Box key={group} mb="2.5" role="group" aria-label={`Views: ${group}`}>
          <Text px="3" fontSize="xs" color="ink.soft" aria-hidden>
            {group}
          </Text>
          {views.map(({ name, path }) => {
            const href = `/rigs/${rigId}${path}`;
            const isHere = pathname === href;
            const level = levels[VIEWS.findIndex((view) => view.path === path)];
            return (
              <ChakraLink
                asChild
                key={path}
                display="flex"
                justifyContent="space-between"
                alignItems="center"
                px="3"
                py="1"
                minH="7"
                fontSize="sm"
                color="ink"
                borderLeftWidth="3px"
                borderColor={isHere ? 'madder' : 'transparent'}
                bg={isHere ? 'paper.deep' : undefined}
                fontWeight={isHere ? '600' : '400'}
                borderRadius="0"
                _hover={{ bg: 'paper.deep', textDecoration: 'none' }}
              >
                <Link
                  href={href}
                  aria-current={isHere ? 'page' : undefined}
                  aria-label={name}
                  prefetch={false}
                  onClick={onGo}
                >
                  {name}
                  {level && <LevelMark level={level} size={12} label="" />}
                </Link>
              </ChakraLink>
            );
          })}
        </Box>
      ))}
    </Box>
  );
};

/** The view that stands at an address of a rig. */
export const viewAt = (pathname: string) =>
  VIEWS.find(({ path }) => path !== '' && pathname.endsWith(path)) ??
  VIEWS.find(({ path }) => path === '');

/** Where there is no room for the spine: the name of the view, which opens it. */
export const Drawer = ({
  isOpen,
  onTurn,
}: {
  readonly isOpen: boolean;
  readonly onTurn: () => void;
}) => (
  <Button
    display={{ base: 'flex', md: 'none' }}
    className="screen-only"
    variant="ghost"
    size="sm"
    width="100%"
    justifyContent="start"
    borderRadius="0"
    borderBottomWidth="1px"
    borderColor="rule"
    aria-expanded={isOpen}
    onClick={onTurn}
  >
    {`Views · ${viewAt(usePathname())?.name ?? ''}`}
  </Button>
);
