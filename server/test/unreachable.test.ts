import { isUnreachable } from '../src/edge/unreachable.js';

const coded = (code: string, message = 'x') => Object.assign(new Error(message), { code });

describe('a database out of reach', () => {
  it.each([
    ['shut down by somebody', coded('57P01')],
    ['starting up', coded('57P03')],
    ['a connection exception', coded('08006')],
    ['too many connections', coded('53300')],
    ['refused', coded('ECONNREFUSED')],
    ['ended under a question', new Error('Connection terminated unexpectedly')],
    ['no connection in time', new Error('timeout exceeded when trying to connect')],
    ['wrapped by the mapper', Object.assign(new Error('query failed'), { driverError: coded('57P01') })],
    ['refused at every address', new AggregateError([coded('ECONNREFUSED'), coded('ECONNREFUSED')])],
  ])('is one that is %s', (_, error) => expect(isUnreachable(error)).toBe(true));

  it.each([
    ['a key that is there already', coded('23505')],
    ['a wrong statement', coded('42601')],
    ['words', 'ECONNREFUSED'],
    ['nothing', null],
    ['a mistake', new TypeError('x is not a function')],
  ])('is none of %s', (_, error) => expect(isUnreachable(error)).toBe(false));
});
