import { collisions, templateProblems } from '../../files/names';
import { comparedNames } from '../../files/plan';
import type { Measured } from '../../passes/measured';
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
type SameName = ReturnType<typeof comparedNames>;

const same = (measured: Measured): readonly SameName[] =>
  templateProblems(measured.rig.fileRules.template).length > 0
    ? []
    : collisions(comparedNames(measured), ({ driveId, name }) => `${driveId}/${name}`);

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

const lacksAll = (written: string, fields: readonly string[]): boolean =>
  templateProblems(written).length === 0 &&
  fields.every((field) => !written.includes(`{${field}}`));

export const everyShow = eachFilesRule<string>(
  'files.name-every-show',
  {
    looksFor: 'Names of files that are the same at every show.',
    why: 'Next week’s files are written over this week’s, or nobody knows which is which.',
    remedy: 'Put the date or the episode into the template.',
    source: SOURCE,
  },
  {
    all: ({ rig }) => (rig.fileRules.showsAYear > 1 ? [rig.fileRules.template] : []),
    about: () => THE_RIG,
    judge: (written) =>
      lacksAll(written, ['date', 'episode'])
        ? {
            level: 'warn',
            title: 'Files of every show have the same names',
            says:
              'The template has neither {date} nor {episode}: the files of the next show are called ' +
              'as those of this one. Put one of them in.',
          }
        : null,
    fixes: (written) => named('Put the date in front', `{date}_${written}`),
  },
);

export const everyTake = eachFilesRule<string>(
  'files.name-every-take',
  {
    looksFor: 'Names of files that are the same for every take.',
    why: 'A recording that is started anew is written over the first, or numbered by the recorder.',
    remedy: 'Put the take into the template.',
    source: SOURCE,
  },
  {
    // Silent until the house has begun to say where files go.
    all: ({ rig }) => (Object.keys(rig.stores).length > 0 ? [rig.fileRules.template] : []),
    about: () => THE_RIG,
    judge: (written) =>
      lacksAll(written, ['take'])
        ? {
            level: 'note',
            title: 'Files of every take have the same names',
            says:
              'The template has no {take}: a recording that is started anew is called as the first. ' +
              'Put it in.',
          }
        : null,
    fixes: (written) => named('Put the take at the end', `${written}_T{take}`),
  },
);
