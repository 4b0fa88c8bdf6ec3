<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;
use LogicException;

/**
 * The settings of a design while they are planned, one after another in the order of the work.
 *
 * A setting that is given is taken as it is, on the tool's step or not; what is planned after it follows from it. So the lid
 * for a tray as it really came out is planned with the tray's settings given.
 */
final class Planning
{
    /** @var array<string, Setting> by piece and name */
    private array $settings = [];

    /**
     * @param array<string, Length> $given by piece and name, as `tray/walls`
     * @param ToolKind $scorer what straight scores are set on
     * @param ?Rectangle $paper the sheet it must come out of, where one is named
     */
    public function __construct(
        public readonly Tools $tools, private readonly array $given = [],
        public readonly ToolKind $scorer = ToolKind::ScoringBoard, public readonly ?Rectangle $paper = null,
    ) {
    }

    /** What straight scores are rounded to. */
    public function score(): Step
    {
        return $this->tools->step($this->scorer);
    }

    /** What a setting is given, before it is planned; null where it is free. */
    public function given(string $piece, string $name): ?Length
    {
        return $this->given["$piece/$name"] ?? null;
    }

    /**
     * Plans one setting; the same name again is the same setting, and must come to the same figure.
     *
     * @param Length $rounded where it is set unless it is given
     * @param MakeUp $madeOf the rounding is added to it
     */
    public function set(string $piece, string $name, ToolKind $tool, Length $exact, Length $rounded, MakeUp $madeOf): Setting
    {
        $at = $this->given($piece, $name) ?? $rounded;
        $known = $this->settings["$piece/$name"] ?? null;
        if ($known !== null) {
            $known->at->equals($at) || throw new LogicException("Two settings of $piece are called $name.");

            return $known;
        }

        return $this->settings["$piece/$name"] = new Setting($piece, $name, $tool, $exact, $at, $madeOf->roundedTo($at), $this->tools->step($tool)->on($at));
    }

    /** What is planned so far. */
    public function settings(): Settings
    {
        return new Settings($this->settings);
    }
}
