<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Rhetorix\Core\Picture\CanvasShape;

class NewShowRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:80'], 'shape' => [Rule::enum(CanvasShape::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the show a name of at most 80 letters.',
            'shape' => 'Choose one of the shapes for program.',
        ];
    }

    public function shape(): CanvasShape
    {
        return $this->enum('shape', CanvasShape::class) ?? CanvasShape::Wide;
    }
}
