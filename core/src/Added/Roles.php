<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Added\Band\Band;
use Gimbo\Core\Added\Closure\Closure;
use Gimbo\Core\Added\Emboss\Emboss;
use Gimbo\Core\Added\Label\Label;
use Gimbo\Core\Added\Liner\Liner;
use Gimbo\Core\Added\Mat\Mat;
use Gimbo\Core\Added\Ribbon\Ribbon;
use Gimbo\Core\Added\Strip\Strip;
use Gimbo\Core\Added\Window\Window;
use Gimbo\Core\Spec\AddedOffers;
use Gimbo\Core\Spec\Addition;
use LogicException;

/** Everything that can go with a make, by id: the one place where a role is registered. */
final readonly class Roles implements AddedOffers
{
    /** @var non-empty-array<string, Role> */
    private array $byId;

    public function __construct(Role $first, Role ...$roles)
    {
        $byId = [];
        foreach ([$first, ...$roles] as $role) {
            isset($byId[$role->id()]) && throw new LogicException("Two roles are called {$role->id()}.");
            $byId[$role->id()] = $role;
        }
        $this->byId = $byId;
    }

    public static function all(): self
    {
        return new self(new Mat, new Strip, new Window, new Liner, new Band, new Ribbon, new Emboss, new Closure, new Label);
    }

    public function find(string $id): ?Role
    {
        return $this->byId[$id] ?? null;
    }

    /** The role of something that was asked for. */
    public function of(Addition $addition): Role
    {
        return $this->byId[$addition->role->id()];
    }

    /** @return list<Role> in the order in which they are registered */
    public function list(): array
    {
        return array_values($this->byId);
    }

    public function ids(): array
    {
        return array_keys($this->byId);
    }
}
