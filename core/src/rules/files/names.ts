import { collisions, templateProblems } from '../../files/names';
import { type NamedFile, namedFiles } from '../../files/plan';
import type { Measured } from '../../passes/measure';
import { MAX_TEMPLATE, USUAL_FILE_RULES } from '../../rig/filing/schema';
import { at, THE_RIG } from '../about';
import { batchFix, eachFilesRule } from '../rule-of';

/** Names of files: whether the template can be used, and whether two would be one. */

const SOURCE = 'handbook 4, Recorders, files';

const named = (label: string, template: string) =>
  template.length > MAX_TEMPLATE
    ? []
    : [batchFix(label, [{ type: 'setFileRules', fileRules: { template } }])];

export const template = eachFilesRule<string>(
  'files.template',
  {
    looksFor: 'A template of file names that cannot be filled in.',
    why: 'Files are called by what somebody typed in a hurry, and nobody finds them.',
    remedy: 'Mend the template.',
    source: SOURCE,
  },
  {
    all: ({ rig }) => [rig.fileRules.template],
    about: () => THE_RIG,
    judge: (written) => {
      const [problem] = templateProblems(written);
      return problem === undefined
        ? null
        : { level: 'warn', title: 'Names of files cannot be filled in', says: problem };
    },
    fixes: () => named('Use the usual template', USUAL_FILE_RULES.template),
  },
);

/** Files of one drive that would have one name. */
type SameName = readonly NamedFile[];

const same = (measured: Measured): readonly SameName[] =>
  templateProblems(measured.rig.fileRules.template).length > 0
    ? []
    : collisions(
        namedFiles(measured, { date: '2026-01-01', episode: 1, take: 1 }),
        ({ driveId, name }) => `${driveId}/${name}`,
      );

export const sameName = eachFilesRule<SameName>(
  'files.same-name',
  {
    looksFor: 'Files of one drive that would have one name.',
    why: 'One is written over the other, or the recorder adds a number nobody knows.',
    remedy: 'Put the number of the file into the template.',
    source: SOURCE,
  },
  {
    all: same,
    about: ([first]) => at({ deviceId: first?.driveId ?? '' }),
    judge: (files, measured) => ({
      level: 'warn',
      title: `${files.length} files called ${files[0]?.name ?? ''}`,
      says:
        `On ${measured.device({ id: files[0]?.driveId ?? '' }).name} ${files.length} files would be ` +
        `called “${files[0]?.name ?? ''}”: ${files.map(({ of }) => of).join(', ')}. Put {track} into ` +
        'the template.',
    }),
    fixes: (_files, { rig }) =>
      named('Put the number of the file into the template', `${rig.fileRules.template}_{track}`),
  },
);
