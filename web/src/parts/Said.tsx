import { I18nProvider, Trans } from '@lingui/react';
import { speaker, type Values } from '@yaylak/contract';
import type { ReactElement } from 'react';

/** A sentence with links, tags or bold words in it, said whole: `<0>` and `</0>` stand for `parts[0]`. */
export function Said({
  text,
  values,
  parts,
}: {
  readonly text: string;
  readonly values?: Values;
  readonly parts: Readonly<Record<number, ReactElement>>;
}) {
  return (
    <I18nProvider i18n={speaker()}>
      <Trans id={text} values={{ ...values }} components={parts} />
    </I18nProvider>
  );
}
