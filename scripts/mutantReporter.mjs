import { declareClassPlugin, PluginKind } from '@stryker-mutator/api/plugin';

const KILLED = ['Killed', 'Timeout'];
const ALIVE = ['Survived', 'NoCoverage'];

/** Names each break that no test noticed as it is found, so that a run that is stopped has said what it knows. */
class SurvivorReporter {
  killed = 0;
  alive = 0;

  constructor() {
    process.on('exit', () => this.score());
  }

  onMutantTested({ status, fileName, location, replacement, mutatorName }) {
    if (KILLED.includes(status)) this.killed++;
    if (!ALIVE.includes(status)) return;
    this.alive++;
    const file = fileName.slice(fileName.indexOf('core/src'));
    const { line, column } = location.start;
    const instead = replacement ? replacement.replace(/\s+/g, ' ').slice(0, 80) : mutatorName;
    console.log(`not noticed: ${file}:${line}:${column} as ${instead}`);
  }

  score() {
    const tried = this.killed + this.alive;
    if (tried === 0) return console.log('no mutant was tried');
    const share = ((100 * this.killed) / tried).toFixed(0);
    console.log(`${this.killed} of ${tried} mutants noticed: ${share} %`);
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.Reporter, 'survivors', SurvivorReporter)];
