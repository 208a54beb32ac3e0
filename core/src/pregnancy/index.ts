export * from './probability';
