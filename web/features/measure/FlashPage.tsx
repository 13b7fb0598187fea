'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { beepOf, FLASH_EVERY_S, FLASH_LASTS_S } from '@echo-loom/core/signal';
import { useEffect, useRef, useState } from 'react';

/** Beeps are handed to the sound output so long before they are heard. @unit s */
const AHEAD_S = 1;
/** The first flash comes so long after it was asked for. @unit s */
const WAIT_S = 1.5;

/** When what the output plays now is heard, by its own clock. */
const heardNow = (audio: AudioContext): number => {
  const { contextTime, performanceTime } = audio.getOutputTimestamp();
  return contextTime === undefined || performanceTime === undefined || performanceTime === 0
    ? audio.currentTime - audio.outputLatency
    : contextTime + (performance.now() - performanceTime) / 1000;
};

/** Flashes a page and beeps with it until it is ended. @returns what ends it */
const play = (page: HTMLElement): (() => void) => {
  const audio = new AudioContext();
  const samples = beepOf(audio.sampleRate);
  const buffer = audio.createBuffer(1, samples.length, audio.sampleRate);
  buffer.copyToChannel(new Float32Array(samples), 0);
  const begin = audio.currentTime + WAIT_S;
  let next = 0;
  let frame = 0;
  let drawnMs = performance.now();
  /** How long a frame of this screen lasts. @unit s */
  let frameS = 1 / 60;
  const draw = (nowMs: number) => {
    frameS = 0.95 * frameS + 0.05 * Math.min(0.05, (nowMs - drawnMs) / 1000);
    drawnMs = nowMs;
    for (; begin + next * FLASH_EVERY_S < audio.currentTime + AHEAD_S; next++) {
      const source = audio.createBufferSource();
      source.buffer = buffer;
      source.connect(audio.destination);
      source.start(Math.max(audio.currentTime, begin + next * FLASH_EVERY_S));
    }
    // Shown with the next frame; half a frame early as often as half a frame late.
    const since = heardNow(audio) + 1.5 * frameS - begin;
    const isWhite = since >= 0 && since % FLASH_EVERY_S < FLASH_LASTS_S;
    page.style.background = isWhite ? '#fff' : '#000';
    frame = requestAnimationFrame(draw);
  };
  frame = requestAnimationFrame(draw);
  return () => {
    cancelAnimationFrame(frame);
    page.style.background = '#000';
    void audio.close();
  };
};

/** A page that flashes and beeps at once: film it with the cameras, hear it with the microphones. */
export const FlashPage = () => {
  const page = useRef<HTMLDivElement>(null);
  const end = useRef<(() => void) | null>(null);
  const [isOn, setOn] = useState(false);
  const stop = () => {
    end.current?.();
    end.current = null;
    setOn(false);
    if (document.fullscreenElement) void document.exitFullscreen();
  };
  const start = () => {
    if (!page.current) return;
    page.current.requestFullscreen().catch(() => undefined);
    end.current = play(page.current);
    setOn(true);
  };
  useEffect(() => () => end.current?.(), []);
  return (
    <Box
      ref={page}
      position="fixed"
      inset="0"
      bg="black"
      color="white"
      display="flex"
      alignItems="center"
      justifyContent="center"
      p="6"
      data-flashing={isOn}
      onClick={isOn ? stop : undefined}
      onKeyDown={(event) => event.key === 'Escape' && stop()}
    >
      {isOn ? (
        <Button
          position="absolute"
          bottom="4"
          right="4"
          size="sm"
          variant="plain"
          color="#767676"
          autoFocus
          onClick={stop}
        >
          Stop
        </Button>
      ) : (
        <Box maxW="34rem">
          <Text as="h1" fontSize="xl" fontWeight="600" mb="2">
            Flash and beep
          </Text>
          <Text mb="2">
            This page turns white and beeps at the same moment, every 1.013 s. Stand it before the
            cameras, its loudspeaker near the microphone, record for half a minute, and give the
            film to Measure.
          </Text>
          <Text mb="2">
            Use this machine’s own loudspeaker or a cable: wireless sound comes late by a time that
            nobody knows.
          </Text>
          <Text mb="4">
            Caution: it flashes about once a second. Do not use it where somebody cannot bear
            flashing light.
          </Text>
          <Button bg="white" color="black" onClick={start}>
            Start
          </Button>
        </Box>
      )}
    </Box>
  );
};
