<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A piece on its way to a cutting machine, kept until the maker takes it away.
 *
 * @property string $id
 * @property string $name of the design
 * @property string $piece its id
 * @property array{name: string, host: string, port: int, answers: bool} $cutter where it goes
 * @property array<string, mixed> $drawing as the shelf shows a piece
 * @property string $instructions HP-GL
 * @property JobState $state
 * @property int $sent bytes that have been taken
 * @property int $begins the byte it is sent from: more than 0 where it goes on after it was broken off
 * @property int $through bytes the machine said it is through with
 * @property ?string $lease who sends it
 * @property int $leased_until Unix time until when that is believed without hearing of it again
 * @property ?string $asked of it while it is sent, one of Wish
 * @property ?string $reason why it failed, a code of the language file
 * @property string $made_at ISO 8601, UTC
 * @property string $touched_at when anything last happened to it
 */
final class CuttingJob extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['cutter' => 'array', 'drawing' => 'array', 'state' => JobState::class, 'sent' => 'integer', 'begins' => 'integer', 'through' => 'integer', 'leased_until' => 'integer'];

    /** Being sent, and nothing was heard of it for longer than who sends it is believed. */
    public function isCutOff(): bool
    {
        return $this->state === JobState::Sending && $this->leased_until < time();
    }

    /** Broken off at a place that is known, and not at its beginning. */
    public function canGoOn(): bool
    {
        return in_array($this->state, [JobState::Stopped, JobState::Failed], true) && $this->through > 0 && $this->through < strlen($this->instructions);
    }

    /** Ready to be sent: from its beginning, or on from where the machine had got. */
    public function wait(bool $goesOn): void
    {
        $begins = $goesOn && $this->canGoOn() ? $this->through : 0;
        $this->update(['state' => JobState::Waiting, 'begins' => $begins, 'through' => $begins, 'sent' => $begins, 'reason' => null, 'asked' => null, 'touched_at' => Moment::now()]);
    }
}
