import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from './Button';
import { LinkButton } from './LinkButton';
import { Row } from './Panel';
import { useWindowTitle } from './useWindowTitle';
import { say } from '@yaylak/contract';

interface Props {
  readonly title: ReactNode;
  readonly back: { readonly to: string; readonly words: string };
  /** What else can be done with the sheet; not printed. */
  readonly children?: ReactNode;
  readonly print?: string;
}

/** The head of a sheet for paper: its title, the way back and Print, of which the paper shows the title alone. */
export function PaperHead({ title, back, children, print = say('Print') }: Props) {
  useWindowTitle(typeof title === 'string' ? title : undefined);
  return (
    <Row style={{ justifyContent: 'space-between', alignItems: 'flex-end' }}>
      <h1>{title}</h1>
      <Row className="no-print" style={{ alignItems: 'flex-end' }}>
        {children}
        <LinkButton as={Link} to={back.to}>
          {back.words}
        </LinkButton>
        <Button kind="main" onPress={() => window.print()}>
          {print}
        </Button>
      </Row>
    </Row>
  );
}
