import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Small } from '../../parts/Panel';
import { saveBlob } from '../../words/saveFile';
import { say } from '@yaylak/contract';

/** The list as a workbook (.xlsx), made here of the same table the CSV file holds. */
export function WriteWorkbook({ csv }: { readonly csv: string }) {
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const write = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const answer = await fetch(csv);
      if (!answer.ok) throw new Error('The server did not give the list. Try again.');
      const { workbookOf } = await import('../../adapters/files/writeSheet');
      saveBlob('animals.xlsx', await workbookOf(await answer.text()));
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button isDisabled={isBusy} onPress={() => void write()}>
        {isBusy ? say('Writing …') : say('Write as .xlsx')}
      </Button>
      {problem === undefined ? null : <Small role="alert">{problem}</Small>}
    </>
  );
}
