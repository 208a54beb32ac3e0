import { defineEntity, p } from '@mikro-orm/core';
import type { TemplateFacts } from '@yaylak/contract';

/** A job's stations kept under a name. */
export const TemplateEntity = defineEntity({
  name: 'Template',
  tableName: 'job_template',
  properties: { id: p.uuid().primary(), facts: p.json<TemplateFacts>() },
});
