import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Field } from '../../parts/Field';
import { PlainList } from '../../parts/PlainList';
import { colour, radius, space, touch } from '../../theme/tokens';
import { EVERYWHERE } from './everywhere';
import { HelpText } from './HelpText';
import { searchHelp, topicAt, TOPICS } from './topics';
import { say } from '@yaylak/contract';

interface Props {
  readonly pathname: string;
  /** Undefined: the topic of the place. */
  readonly topicId: string | undefined;
  readonly isAtKeys: boolean;
  readonly onTopic: (topicId: string) => void;
}

/** Help with a place: the topic, what else there is, and a field to look for words in all of it. */
export function HelpBody({ pathname, topicId, isAtKeys, onTopic }: Props) {
  const [words, setWords] = useState('');
  const keysAt = useRef<HTMLHeadingElement>(null);
  const top = useRef<HTMLHeadingElement>(null);
  const topic = TOPICS.find((t) => t.id === topicId) ?? topicAt(pathname);
  const found = searchHelp(words);
  // Where the reading begins is the document's: at the keys where they were asked for, else at the title.
  useEffect(() => {
    const at = isAtKeys ? keysAt.current : top.current;
    at?.focus({ preventScroll: !isAtKeys });
    if (isAtKeys) at?.scrollIntoView?.({ block: 'start' });
  }, [isAtKeys, topic.id]);
  const open = (id: string): void => {
    setWords('');
    onTopic(id);
  };
  return (
    <Body>
      <Field label={say('Look for words in the help')} value={words} onChange={setWords} />
      {words.trim() === '' ? (
        <>
          <HelpText
            topic={topic}
            keysAt={keysAt}
            everywhere={EVERYWHERE}
            heading={(text) => (
              <h2 ref={top} tabIndex={-1}>
                {text}
              </h2>
            )}
          />
          <nav aria-label={say('All of the help')}>
            <h3>{say('All of the help')}</h3>
            <PlainList>
              {TOPICS.map((t) => (
                <li key={t.id}>
                  <button type="button" aria-current={t.id === topic.id || undefined} onClick={() => open(t.id)}>
                    {t.title}
                  </button>
                </li>
              ))}
            </PlainList>
            <Link to="/guide">{say('The whole guide, to print')}</Link>
          </nav>
        </>
      ) : (
        <PlainList aria-label={say('Found in the help')}>
          {found.map(({ topic: t, sentence }) => (
            <li key={t.id}>
              <button type="button" onClick={() => open(t.id)}>
                <b>{t.title}</b>
                <span>{sentence === t.title ? t.forWhat : sentence}</span>
              </button>
            </li>
          ))}
          {found.length === 0 ? <p>{say('Nothing in the help says “{trim}”.', { trim: words.trim() })}</p> : null}
        </PlainList>
      )}
    </Body>
  );
}

const Body = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  h2:focus {
    outline: none;
  }
  nav a {
    display: inline-flex;
    align-items: center;
    min-height: ${touch};
  }
  li button {
    display: flex;
    flex-direction: column;
    gap: 2px;
    width: 100%;
    min-height: ${touch};
    justify-content: center;
    padding: ${space(1)} ${space(2)};
    border: 0;
    border-radius: ${radius};
    background: none;
    text-align: left;
    color: ${colour('indigo')};
    cursor: pointer;
  }
  li button span {
    color: ${colour('ink')};
    font-size: 14px;
  }
  li button[aria-current] {
    background: ${colour('indigoWash')};
    font-weight: 700;
  }
`;
