<?php

declare(strict_types=1);

namespace App\Models;

use App\Cutting\JobState;
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
 * @property ?string $reason why it failed, a code of the language file
 * @property string $made_at ISO 8601, UTC
 * @property string $touched_at when anything last happened to it
 */
final class CuttingJob extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['cutter' => 'array', 'drawing' => 'array', 'state' => JobState::class, 'sent' => 'integer'];
}
