import { AREAS, RULES } from '@echo-loom/core';

/** The rule reference as Markdown, from the rules themselves. */
export const ruleReference = (): string =>
  [
    '# Rules',
    '',
    `${RULES.length} rules. This page is written from the rules by \`npm run rules\`; a ` +
      'test fails when it is out of date.',
    ...Object.entries(AREAS).flatMap(([area, heading]) => [
      '',
      `## ${heading}`,
      ...RULES.filter((rule) => rule.area === area).flatMap((rule) => [
        '',
        `### ${rule.code}`,
        '',
        rule.looksFor,
        '',
        `- **Why:** ${rule.why}`,
        `- **What to do:** ${rule.remedy}${rule.fixes ? ' Offered as a fix.' : ''}`,
        `- **Source:** ${rule.source}`,
      ]),
    ]),
    '',
  ].join('\n');
