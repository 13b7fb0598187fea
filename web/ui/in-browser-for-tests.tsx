import { ChakraProvider } from '@chakra-ui/react';
import { render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { system } from './theme';

/** Draws a component as the application would, without the rest of it. */
export const draw = (children: ReactNode): void => {
  render(<ChakraProvider value={system}>{children}</ChakraProvider>);
};

/** The field of a label. */
export const field = (label: string): HTMLInputElement => screen.getByLabelText(label);
