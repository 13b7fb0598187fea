'use client';

import { Button } from '@chakra-ui/react';
import { useEffect, useState } from 'react';

/** The second press counts as long. @unit ms */
const SURE_MS = 4000;

/** A press that has to be meant: the same button twice. */
export const Sure = ({
  label,
  sure,
  isDisabled = false,
  isQuiet = false,
  onSure,
}: {
  readonly label: string;
  readonly sure: string;
  readonly isDisabled?: boolean;
  /** Not what is done next */
  readonly isQuiet?: boolean;
  readonly onSure: () => void;
}) => {
  const [isAsked, setAsked] = useState(false);
  useEffect(() => {
    if (!isAsked) return undefined;
    const timer = setTimeout(() => setAsked(false), SURE_MS);
    return () => clearTimeout(timer);
  }, [isAsked]);
  return (
    <Button
      size="lg"
      variant={isQuiet && !isAsked ? 'outline' : 'solid'}
      borderColor="rule.strong"
      minH="14"
      width="100%"
      fontSize="lg"
      disabled={isDisabled}
      onClick={() => {
        if (isAsked) onSure();
        setAsked(!isAsked);
      }}
    >
      {isAsked ? sure : label}
    </Button>
  );
};
