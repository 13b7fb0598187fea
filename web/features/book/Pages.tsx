import type { Analysis } from '@echo-loom/core';
import { LoomDrawing } from '@/features/loom/paper/LoomDrawing';
import type { LoomLayout } from '@/layout/parts';
import { today } from '@/ui/today';
import type { Book, Page } from './book';
import { Part, TEXT } from './Part';
import { PAGE, type Tiles } from './tiles';

interface Props {
  readonly analysis: Analysis;
  readonly book: Book;
  readonly layout: LoomLayout;
  readonly tiles: Tiles;
}

const TitlePage = ({ analysis: { rig }, book }: Pick<Props, 'analysis' | 'book'>) => (
  <div style={TEXT}>
    <h2 style={{ fontSize: '26pt', fontWeight: 600, lineHeight: 1.2, margin: '8mm 0 2mm' }}>
      {rig.name}
    </h2>
    <p style={{ fontSize: '12pt' }}>Build book, as the plan stood on {today()}</p>
    <ol
      style={{
        margin: '12mm 0 0',
        padding: 0,
        listStyle: 'none',
        fontSize: '12pt',
        width: '120mm',
      }}
    >
      {book.contents.map(({ title, page }) => (
        <li
          key={title}
          style={{
            display: 'flex',
            justifyContent: 'space-between',
            borderBottom: '0.2mm dotted #777',
            padding: '1mm 0',
          }}
        >
          <span>{title}</span>
          <span data-contents={title}>{page}</span>
        </li>
      ))}
    </ol>
  </div>
);

const joins = ({ tile }: Extract<Page, { is: 'loom' }>, first: number): string =>
  [
    ...(tile.right === null ? [] : [`goes on at the right on page ${first + tile.right - 1}`]),
    ...(tile.below === null ? [] : [`below on page ${first + tile.below - 1}`]),
  ].join(', ');

const Body = ({
  page,
  first,
  ...props
}: Props & { readonly page: Page; readonly first: number }) => {
  const { analysis, layout, tiles } = props;
  if (page.is === 'title') return <TitlePage {...props} />;
  if (page.is === 'rows')
    return page.pieces.map(({ part: at, from, to, isFirst }) => {
      const part = page.chapter.parts[at];
      return (
        part && <Part key={`${at} ${from}`} part={part} from={from} to={to} isFirst={isFirst} />
      );
    });
  const { tile } = page;
  return (
    <>
      <svg
        width={`${tiles.widthMm}mm`}
        height={`${tiles.heightMm}mm`}
        viewBox={`${tile.x} ${tile.y} ${tile.width} ${tile.height}`}
        style={{ display: 'block' }}
        role="img"
        aria-label="Loom with the number of every cable"
      >
        <LoomDrawing
          analysis={analysis}
          layout={layout}
          reading="Number"
          isBlack
          written={tile.written}
        />
      </svg>
      <div style={{ ...TEXT, fontSize: '8pt', paddingTop: '2mm' }}>
        The figure on a thread is the number of its cable. {joins(page, first)}
      </div>
    </>
  );
};

/** Every page of the book, each as large as its paper. */
export const Pages = (props: Props) => {
  const { analysis, book } = props;
  const firstOfLoom = book.pages.findIndex(({ is }) => is === 'loom') + 1;
  return book.pages.map((page, index) => (
    <section
      key={index}
      data-page={index + 1}
      aria-label={`Page ${index + 1}`}
      style={{
        position: 'relative',
        width: `${PAGE.widthMm}mm`,
        // A hair less than the paper, or some browsers print an empty page after each.
        height: `${PAGE.heightMm - 0.3}mm`,
        padding: `${PAGE.marginMm}mm`,
        overflow: 'hidden',
        background: '#fff',
        color: '#000',
        breakAfter: index === book.pages.length - 1 ? 'auto' : 'page',
      }}
    >
      <div
        style={{
          ...TEXT,
          height: `${PAGE.headMm}mm`,
          display: 'flex',
          justifyContent: 'space-between',
        }}
      >
        <b style={{ fontSize: '12pt' }}>{page.is === 'title' ? '' : page.chapter.title}</b>
        <span>{analysis.rig.name}</span>
      </div>
      <Body {...props} page={page} first={firstOfLoom} />
      <div
        style={{
          ...TEXT,
          position: 'absolute',
          left: `${PAGE.marginMm}mm`,
          right: `${PAGE.marginMm}mm`,
          bottom: `${PAGE.marginMm - 3}mm`,
          display: 'flex',
          justifyContent: 'space-between',
          fontSize: '8.5pt',
        }}
      >
        <span>{today()}</span>
        <span>
          page {index + 1} of {book.pages.length}
        </span>
      </div>
    </section>
  ));
};
