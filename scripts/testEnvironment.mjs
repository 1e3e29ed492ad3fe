import vm from 'node:vm';
import { TestEnvironment } from 'jest-environment-node';

/**
 * A test's own global object, made as a plain one. The usual one answers every use of `Math` or `Float64Array`
 * through an interceptor, which makes computation two to three times as slow as it is in the application.
 */
export default class PlainGlobals extends TestEnvironment {
  constructor(...given) {
    const { createContext } = vm;
    vm.createContext = () => createContext(vm.constants.DONT_CONTEXTIFY);
    try {
      super(...given);
    } finally {
      vm.createContext = createContext;
    }
  }
}
