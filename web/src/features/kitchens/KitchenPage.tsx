import { useContainers, useHousehold, useKitchen, useSession } from '../../api/queries';
import { Link } from 'react-router';
import { useServerClock } from '../../kit/clock';
import { Fold } from '../../kit/Fold';
import { formatFor } from '../../kit/format';
import { Failed, Waiting } from '../../kit/states';
import { WORDS } from '../../kit/words';
import { Keepers, useRole } from '../../kit/role';
import { ContainersForm } from '../containers/ContainersForm';
import { AuditLines } from '../members/AuditLines';
import { DeleteHousehold } from '../members/DeleteHousehold';
import { SignOut } from '../members/PasswordForm';
import { People } from '../members/People';
import { BackupForm } from './BackupForm';
import { HobTrials } from './HobTrials';
import { HouseholdForm } from './HouseholdForm';
import { KitchenForm } from './KitchenForm';
import { KitchenPicture } from './KitchenPicture';
import { TablesForm } from './TablesForm';

/** The kitchen and the household: what the model needs to know, and how it is written. */
export function KitchenPage() {
  const household = useHousehold();
  const kitchen = useKitchen();
  const containers = useContainers();
  const session = useSession();
  const keeper = useRole() === 'KEEPER';
  const now = useServerClock(household.data?.now, household.dataUpdatedAt, 30_000);
  if (household.isPending || kitchen.isPending) return <Waiting />;
  if (household.isError || kitchen.isError) {
    return (
      <main className="page" id="main">
        <Failed error={household.error ?? kitchen.error} />
      </main>
    );
  }
  const sets = containers.data ?? [];
  const free = sets.reduce((sum, c) => sum + c.free, 0);
  const { kitchen: known, version } = kitchen.data;
  return (
    <main className="page" id="main">
      <h1>{household.data.name}</h1>
      <KitchenPicture
        kitchen={known}
        containers={sets}
        now={now}
        format={formatFor(household.data)}
      />
      <p className="above-s">
        <Link to="/you">You</Link>
        {session.data?.called && ` are ${session.data.called}: your password, your devices.`}
      </p>
      <div className="reading above-l">
        <Keepers>
          <KitchenForm key={`k${version}`} kitchen={known} version={version} />
          <Fold
            id="containers"
            title="Bottles and jars"
            says={`${free} free of ${sets.reduce((sum, c) => sum + c.owned, 0)}`}
          >
            <ContainersForm />
          </Fold>
          <Fold id="trials" title="Trials" says="what a hob and a pot of yours really do">
            <HobTrials kitchen={known} version={version} />
          </Fold>
          <Fold
            id="household"
            title="Household"
            says={`${household.data.timeZone}, ${household.data.fahrenheit ? '°F' : '°C'}, ${WORDS.measures[household.data.measures]}`}
          >
            <HouseholdForm key={`h${household.data.version}`} household={household.data} />
          </Fold>
        </Keepers>
        <Fold later id="people" title="Who signs in" says="people, what each may do, invitations">
          <People />
        </Fold>
        {keeper && (
          <>
            <Fold later id="audit" title="Who came in" says="sign-ins, invitations, backups">
              <AuditLines />
            </Fold>
            <Fold later id="tables" title="Tables for a spreadsheet" says="CSV, out and in">
              <TablesForm />
            </Fold>
            <Fold later id="backup" title="Backup" says="everything in one file">
              <BackupForm />
            </Fold>
            <Fold id="delete" title="Delete the household">
              <DeleteHousehold name={household.data.name} />
            </Fold>
          </>
        )}
        <SignOut />
      </div>
    </main>
  );
}
