<?php

namespace App\Console;

use App\Access\Deed;
use App\Access\OwnPassword;
use App\Access\Role;
use App\Access\Roles;
use App\Actions\People\AddPerson;
use App\Actions\People\ChangePerson;
use App\Actions\People\NewLogin;
use App\Books\Signed;
use App\Models\Person;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use KeepPace\Core\Refusal;
use KeepPace\Core\Refused;

/** Who may log in, for who looks after the machine: what the page of people does, and the first person of all. */
class People extends Command
{
    use ReadsText;

    protected $signature = 'pace:person
        {do=list : list, add, role, lock, unlock or reset}
        {login? : whose}
        {--name= : of somebody new}
        {--role= : of somebody new, else supervisor; or the new ones, with commas}
        {--password= : else it is asked for; from a program better by PACE_PASSWORD}
        {--reason=on the command line : why somebody is locked}';

    protected $description = 'Say who may log in: add, set the roles, lock, unlock, give a new password';

    public function handle(AddPerson $add, ChangePerson $change): int
    {
        try {
            return match ($this->argument('do')) {
                'list' => $this->list(),
                'add' => $this->add($add),
                'role', 'lock', 'unlock', 'reset' => $this->change($change, $this->argument('do')),
                default => $this->no('pace:person list, add, role, lock, unlock or reset.'),
            };
        } catch (Refusal $refusal) {
            return $this->no($refusal->getMessage());
        }
    }

    private function list(): int
    {
        $this->table([
            'login',
            'name',
            'role',
            '',
        ], Person::whoLogIn()->with('personRoles')->orderBy('login')->get()->map(fn (Person $user): array => [
            $user->login,
            $user->name,
            implode(', ', $user->roles()->words()),
            $user->locked_at !== null ? 'locked' : ($user->is_demo ? 'demo password' : ''),
        ])->all());

        return self::SUCCESS;
    }

    private function add(AddPerson $add): int
    {
        $login = $this->asked($this->argumentText('login'), 'Login');
        $name = $this->asked($this->optionText('name'), 'Name');
        $roles = $this->roles(Roles::of(Role::Supervisor));
        if ($login === '' || $name === '' || mb_strlen($login) > 60 || mb_strlen($name) > 80) {
            return $this->no('A login and a name are needed: pace:person add LOGIN --name="NAME".');
        }
        $password = $this->password([$login, $name]);
        if ($password === null) {
            return self::FAILURE;
        }
        $by = $this->whoCan();
        if ($by === null && ! Person::whoLogIn()->exists()) {
            $add->first($name, $login, $password);
        } else {
            $add->handle(
                new NewLogin($name, $login, $roles, $password),
                false,
                Signed::by($by ?? throw new \LogicException('Somebody can always let others in.')),
            );
        }
        $this->info("{$name} may log in as {$login}.");

        return self::SUCCESS;
    }

    private function change(ChangePerson $change, string $do): int
    {
        $user = Person::withLogin($this->argumentText('login'));
        // what is done on the command line is booked for whoever may do it on the page
        $by = $this->whoCan($user);
        if ($user === null || $by === null) {
            return $this->no("Nobody logs in as {$this->argumentText('login')}.");
        }
        $token = (string) Str::uuid();
        $password = $do === 'reset' ? $this->password([(string) $user->login, $user->name]) : '';
        if ($password === null) {
            return self::FAILURE;
        }
        $booking = match ($do) {
            'role' => $change->roles($user->id, $this->roles(), new Signed($token, $by)),
            'lock' => $change->lock($user->id, new Signed($token, $by, $this->optionText('reason'))),
            'unlock' => $change->unlock($user->id, new Signed($token, $by)),
            default => $change->reset($user->id, $password, new Signed($token, $by)),
        };
        $this->info((string) $booking->says);

        return self::SUCCESS;
    }

    /** Somebody who can let others in, another than the one it is about if there is one. */
    private function whoCan(?Person $but = null): ?Person
    {
        $can = Person::whoLogIn()
            ->with('personRoles')
            ->orderByRaw('locked_at IS NOT NULL')
            ->orderBy('id')
            ->get()
            ->filter(fn (Person $person): bool => $person->may(Deed::People));

        return $can->first(fn (Person $user): bool => $user->id !== $but?->id) ?? $can->first();
    }

    private function asked(string $given, string $what): string
    {
        return trim($given !== '' || ! $this->input->isInteractive() ? $given : (string) $this->ask($what));
    }

    /** @param  list<string>  $known */
    private function password(array $known): ?string
    {
        $given = $this->optionText('password') ?: (string) getenv('PACE_PASSWORD');
        $rule = new OwnPassword($known);
        while (true) {
            $password = $given !== '' || ! $this->input->isInteractive() ? $given : (string) $this->secret('Password');
            $wrong = $rule->says($password);
            if ($wrong === null) {
                return $password;
            }
            $this->error($wrong);
            if ($given !== '' || ! $this->input->isInteractive()) {
                return null;
            }
        }
    }

    /** @throws Refused */
    private function roles(?Roles $else = null): Roles
    {
        if ($this->option('role') === null && $else !== null) {
            return $else;
        }
        $words = explode(',', $this->optionText('role'));
        $roles = Roles::fromWords($words);
        if (count($roles->all) !== count($words)) {
            throw Refused::because('The roles are '.implode(', ', array_column(Role::cases(), 'value')).'.');
        }

        return $roles;
    }

    private function no(string $why): int
    {
        $this->error($why);

        return self::FAILURE;
    }
}
