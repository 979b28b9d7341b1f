// @vitest-environment jsdom
import { tellEveryScreen } from './everyScreen';

tellEveryScreen('may');
