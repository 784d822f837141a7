import { Alert } from 'antd';
import { sentenceOf } from '../api/problem.js';

/** What went wrong with a request, in a sentence. */
export function Trouble({ error }: { error: unknown }) {
  return error === null || error === undefined ? null : (
    <Alert type="error" showIcon title={sentenceOf(error)} role="alert" />
  );
}
