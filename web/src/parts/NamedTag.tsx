import type { TagView } from '@yaylak/contract';
import { Row } from './Panel';
import { Tag } from './Tag';

/** An animal's tag with its name beside it, as lists show whom they speak of. */
export const NamedTag = ({ tag }: { readonly tag: TagView }) => (
  <Row $gap={1}>
    <Tag tag={tag} /> {tag.name}
  </Row>
);
