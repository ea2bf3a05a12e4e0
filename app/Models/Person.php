<?php

namespace App\Models;

use App\Access\Deed;
use App\Access\Role;
use App\Access\Roles;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use KeepPace\Core\Naming\Code;

/**
 * A person of the shop: one who works at a work centre, one who logs in, or both.
 *
 * @property int $id
 * @property string|null $number of who works at a work centre
 * @property string $name
 * @property int|null $work_centre_id
 * @property int|null $calendar_id
 * @property bool $is_there works here still
 * @property string|null $login of who logs in
 * @property string|null $password
 * @property \Carbon\CarbonImmutable|null $locked_at nobody gets in by this login
 * @property bool $must_change the password was given by somebody else
 * @property bool $is_demo has the demo's password
 * @property string|null $stands_in for the suppliers of the demo: by 'hand' or by the 'clock'; null = for nobody
 * @property string|null $badge
 * @property string|null $remember_token
 * @property int $version of who works where
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $updated_at
 * @property-read \Illuminate\Database\Eloquent\Collection<int, PersonRole> $personRoles
 */
class Person extends Authenticatable
{
    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** Asked many times by a page, so summed once for the rows that were read. */
    private ?Roles $roles = null;

    /** @var Collection<int, PersonRole>|null the rows they are the sum of */
    private ?Collection $summed = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'is_there' => 'boolean',
            'locked_at' => 'immutable_datetime',
            'must_change' => 'boolean',
            'is_demo' => 'boolean',
        ];
    }

    /** @return HasMany<PersonRole, $this> */
    public function personRoles(): HasMany
    {
        return $this->hasMany(PersonRole::class);
    }

    /** @param  string  $login  as typed, in capitals or not */
    public static function withLogin(string $login): ?self
    {
        return self::query()->firstWhere('login_key', Code::keyOf($login));
    }

    public function roles(): Roles
    {
        // asked so often that loadMissing() is felt
        $this->relationLoaded('personRoles') || $this->load('personRoles');
        if ($this->summed !== $this->personRoles) {
            $this->summed = $this->personRoles;
            $this->roles = Roles::of(...$this->personRoles->map(fn (PersonRole $one): Role => $one->role)->all());
        }

        return $this->roles ?? throw new \LogicException('Roles are summed above.');
    }

    public function setRoles(Roles $roles): void
    {
        $this->personRoles()->delete();
        $this->personRoles()->insert(array_map(
            fn (string $role): array => ['person_id' => $this->id, 'role' => $role],
            $roles->words(),
        ));
        $this->load('personRoles');
    }

    public function may(Deed $deed): bool
    {
        return $this->roles()->may($deed);
    }

    /** @return Builder<static> those who may log in, or once might */
    public static function whoLogIn(): Builder
    {
        return self::query()->whereNotNull('login');
    }

    /** Whether somebody else can log in who may do it. */
    public static function anotherMay(Deed $deed, self $than): bool
    {
        return self::whoLogIn()
            ->whereNull('locked_at')
            ->whereKeyNot($than->id)
            ->with('personRoles')
            ->get()
            ->contains(fn (self $other): bool => $other->may($deed));
    }

    /** Somebody who can log in and has this role; in the demo and the tests there is one for each. */
    public static function inRole(Role $role): self
    {
        return self::whoLogIn()
            ->whereHas('personRoles', fn (Builder $one) => $one->where('role', $role->value))
            ->orderBy('id')
            ->firstOrFail();
    }

    /** @return Collection<int, static> those who log in, by name */
    public static function withLogins(): Collection
    {
        return self::whoLogIn()->with('personRoles')->orderBy('name')->get();
    }

    /** @return Collection<int, static> who works here and has no login */
    public static function withoutLogin(): Collection
    {
        return self::query()->whereNull('login')->where('is_there', true)->orderBy('name')->get();
    }

    /** @return Collection<int, static> those of the demo */
    public static function ofDemo(): Collection
    {
        return self::whoLogIn()->where('is_demo', true)->orderBy('id')->get(['login', 'name']);
    }
}
