import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Panel, Small } from '../../parts/Panel';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const KEY = 'yaylak-first-steps';
const CLOSED = 'closed';
/** A book with more in it has long begun. */
const YOUNG_BOOK_ENTRIES = 200;

/** The way back to the first steps, as long as the book is young and nobody has closed it. */
export function FirstSteps() {
  const { data: holding } = useQuery(holdingQuery);
  const [isClosed, setClosed] = useState(localStorage.getItem(KEY) === CLOSED);
  if (isClosed || !holding || holding.about.entries >= YOUNG_BOOK_ENTRIES) return null;
  return (
    <Panel>
      <h2>{say('First steps')}</h2>
      <Small>
        <Said
          text={'<0>Go on where you left</0>: names, numbers, animals, a first weighing.'}
          parts={{ 0: <Link to="/start" /> }}
        />
      </Small>
      <Button
        kind="quiet"
        onPress={() => {
          localStorage.setItem(KEY, CLOSED);
          setClosed(true);
        }}
      >
        {say('Close this')}
      </Button>
    </Panel>
  );
}
