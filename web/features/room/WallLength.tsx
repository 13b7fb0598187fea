/** A point of the drawing. */
export interface Drawn {
  readonly x: number;
  readonly y: number;
}

interface WallProps {
  readonly from: Drawn;
  readonly to: Drawn;
  /** Somewhere in the room: the length is written on the other side */
  readonly inside: Drawn;
  readonly m: number;
  /** What is written, where that is not metres */
  readonly text?: string;
}

/** A wall's length, written outside its middle as a surveyor does; not where there is no place for it. */
export const WallLength = ({ from, to, inside, m, text }: WallProps) => {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  if (length < 34) return null;
  const [middleX, middleY] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const isLeft = (inside.x - middleX) * dy - (inside.y - middleY) * dx > 0;
  const out = ((isLeft ? -1 : 1) * 10) / length;
  const [x, y] = [middleX + dy * out, middleY - dx * out];
  return (
    <text
      className="length"
      textAnchor="middle"
      dominantBaseline="central"
      x={x}
      y={y}
      transform={Math.abs(dy) > Math.abs(dx) ? `rotate(-90 ${x} ${y})` : undefined}
    >
      {text ?? m.toFixed(2)}
    </text>
  );
};
