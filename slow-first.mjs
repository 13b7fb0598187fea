import Sequencer from '@jest/test-sequencer';

/**
 * Test files that take longest here, longest first. A fresh checkout has no times of its own, and Jest then begins
 * with the largest files: what is short and slow would be left for the end, with one worker idle.
 */
const SLOW = [
  'cli/loom',
  'core/src/press',
  'core/src/signal/align',
  'core/src/library/library',
  'web/server/logs/logs',
  'web/features/findings/findings',
  'web/server/nothing-lost',
  'core/src/build/any-answers',
  'web/features/library/library',
  'core/src/rules/keys',
  'web/features/cables/cables',
  'core/src/solve/all-free',
  'web/workers/workers',
  'core/src/solve/placing/placing',
  'core/src/signal/levels',
  'core/src/rig/files/import-broken',
  'core/src/rules/brief/coverage-rules',
  'core/src/solve/together',
  'core/src/passes/coverage/coverage',
  'core/src/build/build',
  'core/src/signal/flash',
  'core/src/reanalyse',
];

const place = ({ path }) => {
  const at = SLOW.findIndex((name) => path.includes(`${name}.test.`));
  return at < 0 ? SLOW.length : at;
};

export default class SlowFirst extends Sequencer {
  sort(tests) {
    return [...super.sort(tests)].sort((a, b) => place(a) - place(b));
  }
}
