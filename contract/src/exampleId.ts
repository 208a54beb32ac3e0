/** Stands for any id in examples. */
export const ID = '0191d5a0-0000-7000-8000-000000000001';
