import type { TagView } from '@yaylak/contract';
import { Row } from './Panel';
import { Tag } from './Tag';
import { useFirst } from './useFirst';

interface Props {
  readonly tags: readonly TagView[];
  /** So many are in sight before all are asked for. */
  readonly first?: number;
  /** Tags that lead nowhere: leaving here would cost something. */
  readonly isStatic?: boolean;
  readonly label?: string;
}

/** Tags beside each other: the first of many, and the button that shows the rest. */
export function TagRow({ tags, first = 24, isStatic = false, label }: Props) {
  const { shown, more } = useFirst(tags, first);
  return (
    <Row {...(label === undefined ? {} : { role: 'group', 'aria-label': label })}>
      {shown.map((tag) => (
        <Tag key={tag.animalId} tag={tag} isStatic={isStatic} />
      ))}
      {more}
    </Row>
  );
}
