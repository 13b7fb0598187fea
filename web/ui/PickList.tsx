'use client';

import { Command } from 'cmdk';
import { type RefObject, useState } from 'react';
import styles from './command.module.css';

export interface PickItem {
  readonly key: string;
  readonly label: string;
  /** A line under the label */
  readonly about?: string;
  /** Words it is found by besides its label */
  readonly words?: string;
  readonly disabled?: boolean;
  readonly keys?: string;
}
export interface PickGroup {
  readonly heading: string;
  readonly items: readonly PickItem[];
}

interface Props {
  readonly label: string;
  readonly placeholder: string;
  readonly groups: readonly PickGroup[];
  readonly empty: string;
  readonly query: string;
  readonly onQuery: (query: string) => void;
  readonly onPick: (key: string) => void;
  readonly inputRef: RefObject<HTMLInputElement | null>;
}

const matches = (item: PickItem, query: string): boolean => {
  const text = `${item.label} ${item.words ?? ''} ${item.about ?? ''}`.toLowerCase();
  return query
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};

/** Most rows drawn; a query narrows the rest. */
const SHOWN = 80;

/** A list to search and pick from with the keyboard: type, arrows, Enter. */
export const PickList = ({
  label,
  placeholder,
  groups,
  empty,
  query,
  onQuery,
  onPick,
  inputRef,
}: Props) => {
  const found = groups
    .map((group) => ({ ...group, items: group.items.filter((item) => matches(item, query)) }))
    .filter((group) => group.items.length > 0);
  // What is found may come after the query: the first of it is what Enter picks, until arrows say otherwise.
  const [chosen, setChosen] = useState('');
  const open = found.flatMap(({ items }) => items.filter(({ disabled }) => !disabled));
  const now = open.some(({ key }) => key === chosen) ? chosen : (open[0]?.key ?? '');
  return (
    <Command label={label} shouldFilter={false} loop value={now} onValueChange={setChosen}>
      <Command.Input
        autoFocus
        ref={inputRef}
        className={styles.input}
        placeholder={placeholder}
        value={query}
        onValueChange={(text) => {
          setChosen('');
          onQuery(text);
        }}
      />
      <Command.List className={styles.list} tabIndex={-1}>
        {found.length === 0 && <Command.Empty>{empty}</Command.Empty>}
        {found.map((group) => (
          <Command.Group key={group.heading} heading={group.heading}>
            {group.items.slice(0, SHOWN).map((item) => (
              <Command.Item
                key={item.key}
                value={item.key}
                disabled={item.disabled ?? false}
                onSelect={() => onPick(item.key)}
              >
                {item.label}
                {item.keys && (
                  <span className={styles.about} style={{ float: 'right' }}>
                    {item.keys}
                  </span>
                )}
                {item.about && <span className={styles.about}>{item.about}</span>}
              </Command.Item>
            ))}
            {group.items.length > SHOWN && (
              <Command.Item disabled value={`${group.heading} more`}>
                {group.items.length - SHOWN} more; type to narrow
              </Command.Item>
            )}
          </Command.Group>
        ))}
      </Command.List>
    </Command>
  );
};
