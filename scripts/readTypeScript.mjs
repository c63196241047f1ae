// Lets the workers of the unit tests import TypeScript; errors name the lines of the source.
import { register } from 'tsx/esm/api';

register();
