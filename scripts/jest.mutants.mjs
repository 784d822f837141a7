import config from '../jest.config.mjs';

/** The core's tests alone: mutants are only made there. */
const [core] = config.projects;
export default { ...core, rootDir: '../core' };
