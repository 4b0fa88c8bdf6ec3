<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Setting;
use Gimbo\Core\Sheet\Settings;
use Gimbo\Core\Sheet\SheetPlan;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\SizingRequest;
use LogicException;

/** What is to be set, and which settings make which sheet: planned once, and settled as often as a setting is looked at otherwise. */
final readonly class Plan
{
    /**
     * @param array<string, SheetPlan> $sheets by piece
     * @param ?Outfit $outfit what goes with it, as it was worked out while it was planned; null once a setting is another
     */
    public function __construct(public SizingRequest $request, public Settings $settings, private array $sheets, public ?Outfit $outfit = null)
    {
    }

    /** The same plan with one setting set to something else. */
    public function with(string $piece, string $name, Length $at): self
    {
        return new self($this->request, $this->settings->with($piece, $name, $at), $this->sheets);
    }

    /**
     * The same plan with more sheets.
     *
     * @param Settings $settings of all of them
     * @param array<string, SheetPlan> $sheets by piece
     */
    public function and(Settings $settings, array $sheets, Outfit $outfit): self
    {
        return new self($this->request, $settings, $this->sheets + $sheets, $outfit);
    }

    /**
     * The same plan, but for pieces that are cut already: those as another plan has them.
     *
     * @param list<string> $pieces
     */
    public function keeping(self $other, array $pieces): self
    {
        $isCut = array_flip($pieces);
        $settings = array_filter($other->settings->all, fn (Setting $setting) => isset($isCut[$setting->piece]));
        $settings += array_filter($this->settings->all, fn (Setting $setting) => ! isset($isCut[$setting->piece]));

        return new self($this->request, new Settings($settings), array_intersect_key($other->sheets, $isCut) + array_diff_key($this->sheets, $isCut));
    }

    public function has(string $piece): bool
    {
        return isset($this->sheets[$piece]);
    }

    /** @throws NothingLeft where a setting leaves nothing of a strip */
    public function grid(string $piece): GridSheet
    {
        $sheet = $this->sheet($piece)->settle($this->settings);

        return $sheet instanceof GridSheet ? $sheet : throw new LogicException("$piece has no columns and rows.");
    }

    /** @throws NothingLeft where a setting leaves nothing of a face or a seam */
    public function square(string $piece): TurnedLayout
    {
        $sheet = $this->sheet($piece)->settle($this->settings);

        return $sheet instanceof TurnedLayout ? $sheet : throw new LogicException("$piece is no square on its corner.");
    }

    private function sheet(string $piece): SheetPlan
    {
        return $this->sheets[$piece] ?? throw new LogicException("No sheet is planned for $piece.");
    }
}
