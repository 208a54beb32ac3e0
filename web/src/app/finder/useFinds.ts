import { queryOptions, useQuery } from '@tanstack/react-query';
import type { IdentifierIndexRow, MentionView, TagView } from '@yaylak/contract';
import { dayOf, searchAnimals } from '@yaylak/core';
import { useMemo, useState } from 'react';
import { recentAnimals } from '../../adapters/recent';
import { groupsQuery, holdingQuery, identifiersQuery, mentionsQuery, tagsQuery } from '../../api/queries';
import { keysOf, PLACES } from '../../shared/nav/placeList';
import { shortDate } from '../../words/dates';
import { markKey, markText, wearingMark } from '../../words/tags';
import { fieldWord, say, SPECIES_WORDS } from '@yaylak/contract';

const MENTIONED: Readonly<Record<MentionView['kind'], (text: string) => string>> = {
  tube: (text) => say('tube {text}', { text }),
  note: (text) => text,
  photo: (text) => say('photo, {text}', { text }),
};

/** Something found, and where it leads. */
export interface Find {
  readonly key: string;
  readonly opens: string;
  /** A topic of the help, opened beside the place one is in. */
  readonly topicId?: string;
  /** Opened with Shift held: the record of a female's litters. */
  readonly opensWithShift?: string;
  readonly tag?: TagView;
  readonly words: string;
  readonly note?: string;
}

export interface FindSection {
  readonly name: string;
  readonly finds: readonly Find[];
  /** How many are shown, where more than a few are. */
  readonly most?: number;
}

type Row = IdentifierIndexRow & { readonly ageDays: number | undefined; readonly said: readonly string[] };

/** What one may be called in the reader's language. */
const saidOf = (row: IdentifierIndexRow, ageDays: number | undefined): readonly string[] => [
  SPECIES_WORDS[row.species].name,
  fieldWord(row, ageDays),
  fieldWord(row, ageDays, true),
];

/** The texts of the help are fetched when they are looked in for the first time. */
const helpQuery = queryOptions({
  queryKey: ['help'],
  queryFn: () => import('../../shared/help/topics'),
  staleTime: Infinity,
});
const MOST_ANIMALS = 12;
/** A single letter stands in every note, and begins half of the places. */
const LEAST_LETTERS = 2;
const MOST_OTHERS = 8;
const MOST_HELP = 4;

/** What fits the words typed, by what it is; with nothing typed, the animals opened last. */
export function useFinds(typed: string): { readonly sections: readonly FindSection[]; readonly isPending: boolean } {
  const { data: all, isPending } = useQuery(identifiersQuery);
  const { data: holding } = useQuery(holdingQuery);
  const words = typed.trim();
  const isAsked = words.length >= LEAST_LETTERS;
  const { data: mentions } = useQuery({ ...mentionsQuery(words), enabled: isAsked });
  const { data: groups } = useQuery({ ...groupsQuery, enabled: isAsked });
  const { data: tags } = useQuery({ ...tagsQuery, enabled: isAsked });
  const { data: help } = useQuery({ ...helpQuery, enabled: isAsked });
  const [recent] = useState(recentAnimals);
  const today = holding?.today;
  const rows = useMemo<Row[]>(
    () =>
      (all ?? []).map((row) => {
        const ageDays = row.bornOn && today ? dayOf(today) - dayOf(row.bornOn) : undefined;
        return { ...row, ageDays, said: saidOf(row, ageDays) };
      }),
    [all, today],
  );
  if (words === '') {
    const finds = recent.flatMap((id) => {
      const own = rows.filter((row) => row.animalId === id);
      const row = own.find((r) => r.isWorn) ?? own[0];
      return row ? [animalFind(row)] : [];
    });
    return { isPending, sections: shown([{ name: say('Opened last'), finds }]) };
  }
  const has = containing(words);
  return {
    isPending,
    sections: shown([
      {
        name: say('Animals'),
        most: MOST_ANIMALS,
        finds: searchAnimals(rows, typed, MOST_ANIMALS).map(({ found, rank }) => animalFind(found, rank === 'exact')),
      },
      {
        name: say('Tubes and notes'),
        finds: (isAsked ? (mentions ?? []) : []).map(({ tag, kind, text, on }) => ({
          key: `${kind} ${tag.animalId} ${on} ${text}`,
          opens: `/animals/${tag.animalId}`,
          tag,
          words: `${MENTIONED[kind](text)}, ${shortDate(on)}`,
        })),
      },
      {
        name: say('Marks'),
        finds: (isAsked ? (tags?.marks ?? []) : [])
          .filter((m) => has(markText(m)))
          .map((m) => ({
            key: `mark ${markKey(m)}`,
            opens: `/animals?${new URLSearchParams({ mark: markKey(m) })}`,
            words: markText(m),
            note: say('{wearingMark} {wearingMark, plural, one {animal} other {animals}}', {
              wearingMark: wearingMark(m),
            }),
          })),
      },
      {
        name: say('Groups'),
        finds: (isAsked ? (groups ?? []) : [])
          .filter((g) => has(g.name))
          .map((g) => ({
            key: `group ${g.id}`,
            opens: `/animals?${new URLSearchParams({ groupId: g.id })}`,
            words: g.name,
            note: say('{present} {present, plural, one {animal} other {animals}}', { present: g.present }),
          })),
      },
      {
        name: say('Places'),
        finds: (isAsked ? PLACES : [])
          .filter((p) => has(p.name))
          .map((p) => ({ key: `place ${p.to}`, opens: p.to, words: p.name, note: keysOf(p) })),
      },
      {
        name: say('Help'),
        // With a digit in it a number is meant, not a word.
        finds: (isAsked && !/\d/.test(words) ? (help?.searchHelp(words) ?? []).slice(0, MOST_HELP) : []).map(
          ({ topic, sentence }) => ({
            key: `help ${topic.id}`,
            opens: '',
            topicId: topic.id,
            words: sentence === topic.title ? topic.forWhat : sentence,
            note: topic.title,
          }),
        ),
      },
    ]),
  };
}

const shown = (sections: readonly FindSection[]): readonly FindSection[] =>
  sections.map((s) => ({ ...s, finds: s.finds.slice(0, s.most ?? MOST_OTHERS) })).filter((s) => s.finds.length > 0);

/** Whether every word typed stands in a text, in whatever order. */
function containing(words: string): (text: string) => boolean {
  const wanted = words.toLowerCase().split(/\s+/);
  return (text) => wanted.every((w) => text.toLowerCase().includes(w));
}

function animalFind(row: Row, isExact = false): Find {
  const { animalId, text, kind, colour, isWorn } = row;
  return {
    key: animalId,
    opens: `/animals/${animalId}`,
    opensWithShift: `/rearing/life/${animalId}`,
    tag: { animalId, text, kind, colour, name: null, hasElectronic: kind === 'electronic', isWorn },
    words: [
      fieldWord(row, row.ageDays),
      ...(row.bornOn ? [say('born {part}', { part: row.bornOn.slice(0, 4) })] : []),
      ...(row.groupName ? [row.groupName] : []),
    ].join(', '),
    ...(row.isPresent ? (isExact ? { note: say('exact') } : {}) : { note: say('gone') }),
  };
}
