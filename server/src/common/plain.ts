/** An instance of a contract class as plain data: fields that were not sent are left out, and not kept as null. */
export const plain = <T>(instance: T): T => JSON.parse(JSON.stringify(instance)) as T;
