'use client';

import { Button, Text } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { saveBlob } from '@/ui/saveFile';
import { useMeasuring } from '@/workers/measuring/useMeasuring';

/** Makes our page as a film, to be shown by a phone or tablet that has no such page open. */
export const FlashFilm = () => {
  const { at, begin, cancel } = useMeasuring<Blob>();
  const saved = useRef<Blob | null>(null);
  const film = at.state === 'done' ? at.value : null;
  useEffect(() => {
    if (!film || saved.current === film) return;
    saved.current = film;
    saveBlob('flash and beep.mp4', film);
  }, [film]);
  if (at.state === 'running')
    return (
      <Button size="xs" variant="outline" onClick={cancel}>
        Making the film, {Math.round(100 * at.share)} %: cancel
      </Button>
    );
  return (
    <>
      <Button
        size="xs"
        variant="outline"
        onClick={() => begin((tasks, tell) => tasks.flashFilm(tell))}
      >
        Save it as a film for a phone
      </Button>
      {at.state === 'failed' && (
        <Text role="alert" fontSize="sm" color="madder">
          {at.says}
        </Text>
      )}
    </>
  );
};
