import { useQueryClient } from '@tanstack/react-query';
import type { TemplateView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { newId } from '../../words/ids';
import { planFault, planToStart, type JobPlan } from './plan';
import { say } from '@yaylak/contract';

interface Props {
  readonly plan: JobPlan;
  readonly templates: readonly TemplateView[];
  readonly onKept: (id: string) => void;
}

/** Keeps the stations under a name, and shows which of the holding's own can be taken out again. */
export function KeepTemplate({ plan, templates, onKept }: Props) {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const client = useQueryClient();
  const undo = useUndo();
  const own = templates.filter((t) => !t.isShipped);
  const reread = () => readAgain(client, { queryKey: ['roster'] });

  const keep = async (): Promise<void> => {
    const fault = planFault(plan);
    if (fault) return setProblem(fault);
    const id = newId();
    try {
      await ask('/api/templates', { method: 'POST', body: { id, name: name.trim(), ...planToStart(plan) } });
    } catch (error) {
      return setProblem((error as Error).message);
    }
    await reread();
    setOpen(false);
    onKept(id);
    undo.offer({ done: say('Kept the template “{trim}”', { trim: name.trim() }), undo: () => remove(id) });
  };
  const remove = async (id: string): Promise<void> => {
    await ask(`/api/templates/${id}`, { method: 'DELETE' });
    await reread();
  };
  const takeOut = async ({ isShipped: _, ...template }: TemplateView): Promise<void> => {
    try {
      await remove(template.id);
    } catch (error) {
      return setProblem((error as Error).message);
    }
    undo.offer({
      done: say('Took out the template “{name}”', { name: template.name }),
      undo: async () => {
        await ask('/api/templates', { method: 'POST', body: template });
        await reread();
      },
    });
  };
  return (
    <>
      <Button
        onPress={() => {
          setProblem(undefined);
          setOpen(true);
        }}
      >
        {say('Keep as a template')}
      </Button>
      <Sheet title={say('Keep as a template')} isOpen={isOpen} onClose={() => setOpen(false)}>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void keep();
          }}
        >
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            <Field label={say('Name of the template')} value={name} onChange={setName} autoFocus />
            <Button kind="main" type="submit" isDisabled={name.trim() === ''}>
              {say('Keep it')}
            </Button>
          </Row>
        </form>
        {problem ? <p role="alert">{problem}</p> : null}
        {own.length > 0 ? (
          <ul>
            {own.map((t) => (
              <li key={t.id}>
                {t.name}{' '}
                <Button
                  kind="quiet"
                  aria-label={say('Take out the template {name}', { name: t.name })}
                  onPress={() => void takeOut(t)}
                >
                  {say('Take out')}
                </Button>
              </li>
            ))}
          </ul>
        ) : null}
      </Sheet>
    </>
  );
}
