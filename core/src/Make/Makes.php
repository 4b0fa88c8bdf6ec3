<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

use Gimbo\Core\Make\CornerPouch\CornerPouch;
use Gimbo\Core\Make\DeepEnvelope\DeepEnvelope;
use Gimbo\Core\Make\DiagonalEnvelope\DiagonalEnvelope;
use Gimbo\Core\Make\DiamondCard\DiamondCard;
use Gimbo\Core\Make\FoldedCard\FoldedCard;
use Gimbo\Core\Make\LanternCard\LanternCard;
use Gimbo\Core\Make\NoteWallet\NoteWallet;
use Gimbo\Core\Make\SlantGateCard\SlantGateCard;
use Gimbo\Core\Make\SlopeBox\SlopeBox;
use Gimbo\Core\Make\StraightEnvelope\StraightEnvelope;
use Gimbo\Core\Make\TrayAndLid\TrayAndLid;
use Gimbo\Core\Spec\Offers;
use LogicException;

/** Everything that can be made, by id: the one place where a make is registered. */
final readonly class Makes implements Offers
{
    /** @var array<string, Make> */
    private array $byId;

    public function __construct(Make ...$makes)
    {
        $byId = [];
        foreach ($makes as $make) {
            isset($byId[$make->id()]) && throw new LogicException("Two makes are called {$make->id()}.");
            $byId[$make->id()] = $make;
        }
        $this->byId = $byId;
    }

    public static function all(): self
    {
        return new self(
            new DiagonalEnvelope,
            new StraightEnvelope,
            new DeepEnvelope,
            new CornerPouch,
            new TrayAndLid,
            new SlopeBox,
            new NoteWallet,
            new FoldedCard,
            new DiamondCard,
            new SlantGateCard,
            new LanternCard,
        );
    }

    public function find(string $id): ?Make
    {
        return $this->byId[$id] ?? null;
    }

    /** @return list<Make> */
    public function list(): array
    {
        return array_values($this->byId);
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys($this->byId);
    }
}
