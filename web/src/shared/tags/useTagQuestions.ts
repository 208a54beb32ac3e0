import { useQuery } from '@tanstack/react-query';
import { numberDoubt } from '@yaylak/core';
import { useCallback } from 'react';
import { identifiersQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { tagDoubtText } from '../../words/tags';

/** What is to be asked before tags are fitted, a sentence each; with or without the server. */
export function useTagQuestions(): (drafts: readonly EntryDraft[]) => readonly string[] {
  const { data: worn } = useQuery(identifiersQuery);
  return useCallback(
    (drafts) =>
      drafts.flatMap((tag): string[] => {
        if (tag.type !== 'identifier') return [];
        const doubt = numberDoubt(worn ?? [], tag);
        if (!doubt) return [];
        // A wearer is called by what it wears; by its old number where it wears nothing.
        const own = (worn ?? []).filter((w) => w.animalId === doubt.animalId);
        const name = (own.find((w) => w.isWorn && w.kind !== 'electronic') ?? own[0])?.text ?? tag.text;
        return [tagDoubtText(doubt, { text: tag.text, colour: tag.colour, name })];
      }),
    [worn],
  );
}
