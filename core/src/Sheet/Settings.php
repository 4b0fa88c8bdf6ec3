<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Measure\Length;
use LogicException;

/** All settings of a design, in the order in which they were planned; some may since be set to something else. */
final readonly class Settings
{
    /** @param array<string, Setting> $all by piece and name, as `tray/walls` */
    public function __construct(public array $all)
    {
    }

    public function of(string $piece, string $name): Setting
    {
        return $this->all["$piece/$name"] ?? throw new LogicException("$piece has no setting $name.");
    }

    public function find(string $piece, string $name): ?Setting
    {
        return $this->all["$piece/$name"] ?? null;
    }

    /** The same settings, one of them set to something else; every other stays where it was planned. */
    public function with(string $piece, string $name, Length $at): self
    {
        return new self(["$piece/$name" => $this->of($piece, $name)->movedTo($at)] + $this->all);
    }
}
