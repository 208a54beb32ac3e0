import { expose } from 'comlink';
import { createPlanner } from './planner';

// The plan is reckoned away from the page, so that it stays awake and can stop it.
expose(createPlanner());
